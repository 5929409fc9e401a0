// Sets the theme before the first paint, so that no page flashes in the other one.
try {
  const kept = localStorage.getItem('lamp-reel.theme')
  const light =
    kept === 'daylight' ||
    (kept !== 'booth' && matchMedia('(prefers-color-scheme: light)').matches && kept === 'system')
  document.documentElement.dataset.theme = light ? 'daylight' : 'booth'
} catch {
  document.documentElement.dataset.theme = 'booth'
}
