// How good a password is, said by the server while it is typed; it is asked when the fingers rest.
for (const words of document.querySelectorAll('[data-strength]')) {
  const field = document.getElementById(words.dataset.strength);
  const form = field.form;
  const empty = words.textContent;
  let waiting = 0;
  let asking = new AbortController();
  // What is sent begins a session; a question from before it would be refused.
  form.addEventListener('submit', () => {
    clearTimeout(waiting);
    asking.abort();
  });
  field.addEventListener('input', () => {
    clearTimeout(waiting);
    waiting = setTimeout(() => {
      if (!field.value) {
        words.textContent = empty;
        return;
      }
      const own = ['name', 'person'].map((name) => (form.elements[name] ? form.elements[name].value : '')).join('\n');
      const body = new URLSearchParams({ password: field.value, own, _csrf: form.elements._csrf.value });
      asking = new AbortController();
      fetch('/strength', { method: 'POST', body, signal: asking.signal })
        .then((answer) => (answer.ok ? answer.text() : empty))
        .then((said) => {
          words.textContent = said;
        })
        .catch(() => {
          words.textContent = empty;
        });
    }, 250);
  });
}
