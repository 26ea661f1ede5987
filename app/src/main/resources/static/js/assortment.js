// The search for whole sets: how far it is, and the best found so far.
const { page } = await import(document.getElementById('shared').href);

const progress = document.getElementById('progress');
if (progress) {
  let shown = progress.dataset.found;
  const look = () =>
    fetch(progress.dataset.url + '/progress', { headers: { Accept: 'application/json' } })
      .then((answer) => answer.json())
      .then(async (far) => {
        progress.value = far.percent;
        if (!far.running) {
          location.replace(progress.dataset.url);
          return;
        }
        if (String(far.found) !== shown) {
          shown = String(far.found);
          const html = await (await fetch(progress.dataset.url)).text();
          document.getElementById('sets').replaceChildren(...page(html).getElementById('sets').childNodes);
        }
        setTimeout(look, 500);
      })
      .catch(() => setTimeout(look, 2000));
  setTimeout(look, 300);
}
