/* Keeps what is typed into a form of a family page until it has been sent. Without it nothing is missing. */
(() => {
  const PREFIX = 'fern-kept ';
  const DAYS = 14;
  let store;
  try {
    store = window.localStorage;
    for (const key of Object.keys(store))
      if (key.startsWith(PREFIX) && !(JSON.parse(store.getItem(key)).on > Date.now() - DAYS * 86400000))
        store.removeItem(key);
  } catch {
    return;
  }
  const sent = document.querySelector('[data-sent]');
  if (sent)
    for (const key of Object.keys(store))
      if (key.startsWith(`${PREFIX}${sent.dataset.sent} `)) store.removeItem(key);
  const form = document.querySelector('form[data-keeps]');
  if (!form) return;
  const key = PREFIX + form.dataset.keeps;
  const fields = () => [...form.elements].filter((one) => one.name && !['hidden', 'file'].includes(one.type));
  const ticks = (one) => one.type === 'radio' || one.type === 'checkbox';
  const say = (text) => {
    const note = document.querySelector('[data-typed]') ?? document.createElement('p');
    note.dataset.typed = '';
    note.setAttribute('role', 'status');
    note.textContent = text;
    form.append(note);
  };
  const keep = () => {
    const values = fields()
      .filter((one) => (ticks(one) ? one.checked : one.value !== ''))
      .map((one) => [one.name, one.value]);
    try {
      if (values.length) store.setItem(key, JSON.stringify({ on: Date.now(), values }));
      else store.removeItem(key);
    } catch {
      /* There is no room: what was typed stays in the form. */
    }
  };
  const before = store.getItem(key);
  // What the server shows again after a mistake is newer than what was kept.
  const untouched = fields().every((one) => (ticks(one) ? !one.checked : one.value === ''));
  if (before && untouched) {
    for (const [name, value] of JSON.parse(before).values)
      for (const one of fields().filter((field) => field.name === name)) {
        if (!ticks(one)) one.value = value;
        else if (one.value === value) one.checked = true;
        else continue;
        const folded = one.closest('details');
        if (folded) folded.open = true;
      }
    say(form.dataset.kept);
  }
  form.addEventListener('input', keep);
  form.addEventListener('submit', (event) => {
    keep();
    if (navigator.onLine) return;
    event.preventDefault();
    say(form.dataset.offline);
  });
})();
