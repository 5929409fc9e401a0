import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './App.vue'
import { readyDates } from './data/dates'
import { mailKey } from './data/mail-key'
import { router } from './router'
import './theme.css'

// The key that came with the address is kept before any screen changes the address.
mailKey()
await readyDates()
createApp(App).use(createPinia()).use(router).mount('#app')
