import { createApp } from 'vue'
import Belt from './Belt.vue'
import '../theme.css'

createApp(Belt).mount('#app')

// Once visited, this page opens without network; where the browser allows no service worker (plain http
// from another machine) it just loads.
if ('serviceWorker' in navigator) void navigator.serviceWorker.register('/sw.js').catch(() => undefined)
