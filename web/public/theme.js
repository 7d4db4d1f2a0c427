// Before the first paint, so that night never flashes as day. The key is the settings store's.
try {
  var stored = JSON.parse(localStorage.getItem('fox-tempo/settings') || '{}').state || {};
  var night = stored.theme ? stored.theme === 'night' : matchMedia('(prefers-color-scheme: dark)').matches;
  document.documentElement.className = night ? 'dark' : 'light';
} catch {
  document.documentElement.className = 'light';
}
