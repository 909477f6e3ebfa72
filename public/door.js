/* The pages before the workroom have no scripts of their own; this is all that moves on them. */
(() => {
  // A page that has scripts of its own does all this itself.
  if (document.querySelector('script[type="module"]')) return;
  // A password can be shown while it is typed.
  for (const box of document.querySelectorAll('[data-shows]')) {
    const field = document.getElementById(box.dataset.shows);
    box.addEventListener('change', () => (field.type = box.checked ? 'text' : 'password'));
  }
  // A form is sent once: a second press while it is on its way says nothing new.
  for (const form of document.querySelectorAll('form'))
    form.addEventListener('submit', (event) => {
      if (form.dataset.sent) event.preventDefault();
      form.dataset.sent = 'yes';
    });
  addEventListener('pageshow', () => {
    for (const form of document.querySelectorAll('form')) delete form.dataset.sent;
  });
  // Nobody is signed in here: the page of the hall that this browser kept, which names families, goes.
  if (document.querySelector('[data-nobody]') && 'caches' in window) void caches.delete('fern-hall-page');
  document.documentElement.dataset.ready = 'yes';
})();
