import { createApp } from 'vue'
import Post from './Post.vue'
import '../theme.css'

createApp(Post).mount('#app')
