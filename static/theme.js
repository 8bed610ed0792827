// Sets the chosen theme before the first paint.
const chosen = localStorage.getItem('juntos-theme');
if (chosen === 'light' || chosen === 'dark') document.documentElement.dataset.theme = chosen;
