// Runs before anything is drawn: the tone that the author likes, so that no daylight flashes before dusk.
try {
  const { tone } = JSON.parse(localStorage.getItem('porchlight-preferences') ?? '{}')
  if (tone === 'light' || tone === 'dark') document.documentElement.dataset.tone = tone
} catch {
  // What cannot be read is as if it were not there.
}
