// The plan with its trees: a drag asks as it goes, and is stored when it is let go.
const { base, newest, submit } = await import(document.getElementById('shared').href);

const STEP = 0.1;
const plan = document.getElementById('plan');
if (plan && plan.dataset.scale) {
  drags(plan);
}

function drags(plan) {
  const scale = Number(plan.dataset.scale);
  const live = document.getElementById('live');
  const ask = newest(
    base + '/layout/try',
    (html) => {
      live.innerHTML = html;
    },
    () => {
      live.textContent = 'The server does not answer; the tree was not moved.';
    },
  );
  const place = (tree, x, y) => {
    tree.dataset.x = x.toFixed(3);
    tree.dataset.y = y.toFixed(3);
    const px = (Number(plan.dataset.left) + scale * x).toFixed(2);
    const py = (Number(plan.dataset.bottom) - scale * y).toFixed(2);
    tree.setAttribute('transform', 'translate(' + px + ',' + py + ')');
    const tapes = document.getElementById('tapes');
    if (tapes && tree.dataset.here === 'true') {
      tapes.setAttribute('d', tapes.getAttribute('d').replace(/L[^L]*L/, 'L' + px + ' ' + py + 'L'));
    }
    ask({ tree: tree.dataset.tree, x: tree.dataset.x, y: tree.dataset.y, year: plan.dataset.year });
  };
  const save = (tree) =>
    submit(base + '/layout/move', {
      tree: tree.dataset.tree,
      x: tree.dataset.x,
      y: tree.dataset.y,
      year: plan.dataset.year,
    });
  const open = (tree) => {
    location.href = base + '/layout?tree=' + tree.dataset.tree + '&year=' + plan.dataset.year;
  };
  let tree = null;
  let from = null;
  let moved = false;
  let later = 0;
  plan.addEventListener('pointerdown', (event) => {
    tree = event.target.closest('.tree');
    if (!tree) {
      return;
    }
    from = {
      px: event.clientX,
      py: event.clientY,
      x: Number(tree.dataset.x),
      y: Number(tree.dataset.y),
      zoom: plan.getScreenCTM().a,
    };
    moved = false;
    tree.setPointerCapture(event.pointerId);
    tree.classList.add('dragging');
  });
  plan.addEventListener('pointermove', (event) => {
    if (!from) {
      return;
    }
    const dx = event.clientX - from.px;
    const dy = event.clientY - from.py;
    if (moved || Math.hypot(dx, dy) > 4) {
      moved = true;
      place(tree, from.x + dx / from.zoom / scale, from.y - dy / from.zoom / scale);
    }
  });
  plan.addEventListener('pointerup', () => {
    if (!from) {
      return;
    }
    tree.classList.remove('dragging');
    (moved ? save : open)(tree);
    from = null;
  });
  plan.addEventListener('keydown', (event) => {
    const at = event.target.closest('.tree');
    if (!at) {
      return;
    }
    const step = event.shiftKey ? 10 * STEP : STEP;
    const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, step], ArrowDown: [0, -step] }[event.key];
    if (by) {
      event.preventDefault();
      place(at, Number(at.dataset.x) + by[0], Number(at.dataset.y) + by[1]);
      clearTimeout(later);
      later = setTimeout(() => save(at), 900);
    } else if (event.key === 'Enter' || event.key === ' ') {
      event.preventDefault();
      open(at);
    }
  });
}
