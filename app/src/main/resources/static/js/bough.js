// Draws, drags and asks. Everything is decided on the server.
document.addEventListener('alpine:init', () => {
  // The year slider: the number follows the thumb, the page follows when it is let go.
  Alpine.data('year', () => ({
    years: 0,
    init() { this.years = this.$root.dataset.from; },
    show() { this.$root.submit(); },
  }));
});

document.addEventListener('DOMContentLoaded', () => {
  const base = document.body.dataset.base;
  const line = document.querySelector('.line');
  const here = line && line.querySelector('[aria-current]');
  if (here && line.scrollWidth > line.clientWidth) {
    line.scrollLeft = here.getBoundingClientRect().left - line.getBoundingClientRect().left - line.clientWidth / 2 + 58;
  }
  document.querySelectorAll('form.treeform select').forEach((select) => select.addEventListener('change', () => select.form.submit()));
  // On a phone the sketch is wider than the screen: begin where the measure to carry stands.
  const sketch = document.querySelector('.sk');
  if (sketch && sketch.scrollWidth > sketch.clientWidth) { sketch.scrollLeft = 0.75 * (sketch.scrollWidth - sketch.clientWidth); }
  document.querySelectorAll('form[data-auto] select').forEach((select) => select.addEventListener('change', () => select.form.submit()));
  const warmer = document.getElementById('warmer');
  if (warmer) {
    let asking = false;
    let wanted = null;
    const ask = () => {
      if (asking || wanted === null) { return; }
      asking = true;
      const url = warmer.dataset.url + '?' + wanted;
      wanted = null;
      fetch(url, { headers: { Accept: 'text/html' } })
        .then((answer) => (answer.ok ? answer.text() : null))
        .then((html) => { const next = html && new DOMParser().parseFromString(html, 'text/html').getElementById('warmer-answer'); if (next) { document.getElementById('warmer-answer').replaceChildren(...next.childNodes); } })
        .catch(() => { document.getElementById('warmer-answer').textContent = 'The server does not answer.'; })
        .finally(() => { asking = false; ask(); });
    };
    warmer.addEventListener('input', () => { wanted = new URLSearchParams(new FormData(warmer)).toString(); ask(); });
    warmer.addEventListener('submit', (event) => event.preventDefault());
  }
  const progress = document.getElementById('progress');
  if (progress) {
    const look = () => fetch(progress.dataset.url + '/progress', { headers: { Accept: 'application/json' } })
      .then((answer) => answer.json())
      .then((far) => {
        progress.value = far.percent;
        if (far.state === 'READING' || far.state === 'STORING') { setTimeout(look, 250); } else { location.replace(progress.dataset.url); }
      })
      .catch(() => setTimeout(look, 2000));
    setTimeout(look, 250);
  }
  keys(base);
  const plan = document.getElementById('plan');
  if (plan && plan.dataset.scale) { drags(plan, base); }
});

function keys(base) {
  const next = (by) => {
    const steps = Array.from(document.querySelectorAll('table[data-steps] a'));
    if (steps.length) {
      const here = steps.findIndex((step) => step.closest('tr').classList.contains('on'));
      const to = here < 0 ? (by > 0 ? 0 : steps.length - 1) : here + by;
      if (steps[to]) { location.href = steps[to].getAttribute('href'); }
      return;
    }
    const select = document.querySelector('form.treeform select');
    const at = select ? select.selectedIndex + by : -1;
    if (select && at >= 0 && at < select.options.length) { select.selectedIndex = at; select.form.submit(); }
  };
  document.addEventListener('keydown', (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey || event.target.closest('input, textarea, select, dialog')) { return; }
    const stage = base && document.querySelector('.line a[data-key="' + event.key + '"]');
    if (stage) { location.href = stage.getAttribute('href'); }
    else if (event.key === 'j') { next(1); }
    else if (event.key === 'k') { next(-1); }
    else if (event.key === '=') { const key = document.querySelector('details.row-f'); if (key) { key.open = !key.open; } }
    else if (event.key === '.') { const act = document.querySelector('.find .act'); if (act) { act.click(); } }
    else if (event.key === 'u') { const undo = document.getElementById('undo'); if (undo) { undo.submit(); } }
    else if (event.key === '/') { const pick = document.querySelector('.fig select'); if (pick) { pick.focus(); event.preventDefault(); } }
    else if (event.key === '?') { const help = document.getElementById('keys'); if (help) { help.showModal(); } }
  });
}

function drags(plan, base) {
  const scale = Number(plan.dataset.scale);
  const live = document.getElementById('live');
  let asking = false;
  let wanted = null;
  // The left page follows the drag: one question at a time, always the newest.
  const ask = () => {
    if (asking || !wanted) { return; }
    asking = true;
    const url = base + '/layout/try?' + new URLSearchParams({ ...wanted, year: plan.dataset.year });
    wanted = null;
    fetch(url, { headers: { Accept: 'text/html' } })
      .then((answer) => (answer.ok ? answer.text() : null))
      .then((html) => { if (html !== null) { live.innerHTML = html; } })
      .catch(() => { live.textContent = 'The server does not answer; the tree was not moved.'; })
      .finally(() => { asking = false; ask(); });
  };
  const place = (tree, x, y) => {
    tree.dataset.x = x.toFixed(3);
    tree.dataset.y = y.toFixed(3);
    const px = Number(plan.dataset.left) + scale * x;
    const py = Number(plan.dataset.bottom) - scale * y;
    tree.setAttribute('transform', 'translate(' + px.toFixed(2) + ',' + py.toFixed(2) + ')');
    const tapes = document.getElementById('tapes');
    if (tapes && tree.dataset.here === 'true') {
      tapes.setAttribute('d', tapes.getAttribute('d').replace(/L[^L]*L/, 'L' + px.toFixed(2) + ' ' + py.toFixed(2) + 'L'));
    }
    wanted = { tree: tree.dataset.tree, x: tree.dataset.x, y: tree.dataset.y };
    ask();
  };
  const save = (tree) => {
    const form = document.createElement('form');
    form.method = 'post';
    form.action = base + '/layout/move';
    const token = document.querySelector('input[name="_csrf"]').value;
    Object.entries({ tree: tree.dataset.tree, x: tree.dataset.x, y: tree.dataset.y, year: plan.dataset.year, _csrf: token }).forEach(([name, value]) => {
      const field = document.createElement('input');
      field.type = 'hidden'; field.name = name; field.value = value;
      form.append(field);
    });
    document.body.append(form);
    form.submit();
  };
  plan.querySelectorAll('.tree').forEach((tree) => {
    let from = null;
    let moved = false;
    let later = 0;
    tree.addEventListener('pointerdown', (event) => {
      from = { px: event.clientX, py: event.clientY, x: Number(tree.dataset.x), y: Number(tree.dataset.y), zoom: plan.getScreenCTM().a };
      moved = false;
      tree.setPointerCapture(event.pointerId);
      tree.classList.add('dragging');
    });
    tree.addEventListener('pointermove', (event) => {
      if (!from) { return; }
      const dx = event.clientX - from.px;
      const dy = event.clientY - from.py;
      if (moved || Math.hypot(dx, dy) > 4) {
        moved = true;
        place(tree, from.x + dx / from.zoom / scale, from.y - dy / from.zoom / scale);
      }
    });
    tree.addEventListener('pointerup', () => {
      tree.classList.remove('dragging');
      if (from && moved) { save(tree); } else if (from) { location.href = base + '/layout?tree=' + tree.dataset.tree + '&year=' + plan.dataset.year; }
      from = null;
    });
    tree.addEventListener('keydown', (event) => {
      const step = event.shiftKey ? 1 : 0.1;
      const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, step], ArrowDown: [0, -step] }[event.key];
      if (by) {
        event.preventDefault();
        place(tree, Number(tree.dataset.x) + by[0], Number(tree.dataset.y) + by[1]);
        clearTimeout(later);
        later = setTimeout(() => save(tree), 900);
      } else if (event.key === 'Enter' || event.key === ' ') {
        event.preventDefault();
        location.href = base + '/layout?tree=' + tree.dataset.tree + '&year=' + plan.dataset.year;
      }
    });
  });
}
