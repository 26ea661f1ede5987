// The winters: what if they were warmer, and how far a file is.
const { newest, page } = await import(document.getElementById('shared').href);

const warmer = document.getElementById('warmer');
if (warmer) {
  const answer = document.getElementById('warmer-answer');
  const ask = newest(
    warmer.dataset.url,
    (html) => answer.replaceChildren(...page(html).getElementById('warmer-answer').childNodes),
    () => {
      answer.textContent = 'The server does not answer.';
    },
  );
  warmer.addEventListener('input', () => ask(new FormData(warmer)));
  warmer.addEventListener('submit', (event) => event.preventDefault());
}

const progress = document.getElementById('progress');
if (progress) {
  const look = () =>
    fetch(progress.dataset.url + '/progress', { headers: { Accept: 'application/json' } })
      .then((answer) => answer.json())
      .then((far) => {
        progress.value = far.percent;
        if (far.state === 'READING' || far.state === 'STORING') {
          setTimeout(look, 250);
        } else {
          location.replace(progress.dataset.url);
        }
      })
      .catch(() => setTimeout(look, 2000));
  setTimeout(look, 250);
}

// Twelve figures copied from an almanac go into the twelve months.
document.querySelectorAll('table.months tr').forEach((row) => {
  const cells = Array.from(row.querySelectorAll('input'));
  cells.forEach((cell, at) =>
    cell.addEventListener('paste', (event) => {
      const figures = event.clipboardData
        .getData('text')
        .trim()
        .split(/[\s;|]+/);
      if (figures.length > 1) {
        event.preventDefault();
        figures.slice(0, cells.length - at).forEach((figure, i) => {
          cells[at + i].value = figure;
        });
      }
    }),
  );
});
