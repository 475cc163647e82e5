// Until the program is there the page has the look that this device had last: by night nothing flashes white.
try {
  const { state } = JSON.parse(localStorage.getItem('verdant-burrow-preferences'));
  document.documentElement.dataset.look = state.look;
  if (state.look === 'night') document.querySelector('meta[name="theme-color"]').content = '#160302';
} catch {
  // Nothing was kept on this device: by day.
}
