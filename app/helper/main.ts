import { createApp } from 'vue'
import Helper from './Helper.vue'
import '../theme.css'

createApp(Helper).mount('#app')
