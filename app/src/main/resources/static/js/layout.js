// The plan with its trees: a drag asks as it goes, and is stored when it is let go.
const { base, newest, page, submit } = await import(document.getElementById('shared').href);
const { frame, send, zoom } = await import(document.getElementById('drawn').href);

const STEP = 0.1;
let later = 0;

function layout() {
  const plan = document.getElementById('plan');
  if (!plan || !plan.dataset.scale) {
    return;
  }
  zoom(plan, '.tree');
  drags(plan);
  puts(plan);
  years(plan);
}

/** The slider grows the crowns while it is moved. */
function years(plan) {
  const slider = document.getElementById('year');
  if (!slider) {
    return;
  }
  const ask = newest(
    base + '/layout',
    (html) => {
      const next = page(html);
      const drawn = next.getElementById('plan');
      if (!drawn) {
        return;
      }
      plan.innerHTML = drawn.innerHTML;
      plan.dataset.year = drawn.dataset.year;
      document.getElementById('live').innerHTML = next.getElementById('live').innerHTML;
      const lost = document.getElementById('lost');
      if (lost) {
        lost.innerHTML = next.getElementById('lost').innerHTML;
      }
    },
    () => speak('The server does not answer.'),
  );
  slider.addEventListener('input', () => ask(Object.fromEntries(new FormData(slider.form))));
}

const speak = (words) => {
  document.getElementById('spoken').textContent = words;
};

function drags(plan) {
  const f = frame(plan);
  const ask = newest(
    base + '/layout/try',
    (html) => {
      document.getElementById('live').innerHTML = html;
    },
    () => {
      document.getElementById('live').textContent = 'The server does not answer; the tree was not moved.';
    },
  );
  const show = (tree, x, y) => {
    tree.dataset.x = x.toFixed(3);
    tree.dataset.y = y.toFixed(3);
    const [px, py] = f.page([x, y]).map((n) => n.toFixed(2));
    tree.setAttribute('transform', 'translate(' + px + ',' + py + ')');
    const tapes = document.getElementById('tapes');
    if (tapes && tree.dataset.here === 'true') {
      tapes.setAttribute('d', tapes.getAttribute('d').replace(/L[^L]*L/, 'L' + px + ' ' + py + 'L'));
    }
  };
  const place = (tree, x, y) => {
    show(tree, x, y);
    ask({ tree: tree.dataset.tree, x: tree.dataset.x, y: tree.dataset.y, year: plan.dataset.year });
  };
  const save = (tree) => {
    const id = tree.dataset.tree;
    return send(
      base + '/layout/move',
      { tree: id, x: tree.dataset.x, y: tree.dataset.y, year: plan.dataset.year },
      () => {
        layout();
        const moved = document.querySelector('.tree[data-tree="' + id + '"]');
        if (moved) {
          moved.focus({ preventScroll: true });
        }
        const words = document.getElementById('place-words');
        speak(words ? words.textContent : '');
      },
      (words) => {
        document.getElementById('live').textContent = words;
      },
    );
  };
  const open = (tree) => {
    location.href = base + '/layout?tree=' + tree.dataset.tree + '&year=' + plan.dataset.year;
  };
  let tree = null;
  let from = null;
  let moved = false;
  plan.addEventListener('pointerdown', (event) => {
    tree = event.target.closest('.tree');
    if (!tree || from) {
      return;
    }
    if (event.shiftKey) {
      choose(tree);
      return;
    }
    from = {
      id: event.pointerId,
      px: event.clientX,
      py: event.clientY,
      x: Number(tree.dataset.x),
      y: Number(tree.dataset.y),
      transform: tree.getAttribute('transform'),
      zoom: plan.getScreenCTM().a,
    };
    moved = false;
    tree.setPointerCapture(event.pointerId);
    tree.classList.add('dragging');
  });
  plan.addEventListener('pointermove', (event) => {
    if (!from || event.pointerId !== from.id) {
      return;
    }
    const dx = event.clientX - from.px;
    const dy = event.clientY - from.py;
    if (moved || Math.hypot(dx, dy) > 4) {
      moved = true;
      place(tree, from.x + dx / from.zoom / f.scale, from.y - dy / from.zoom / f.scale);
    }
  });
  plan.addEventListener('pointerup', (event) => {
    if (!from || event.pointerId !== from.id) {
      return;
    }
    tree.classList.remove('dragging');
    (moved ? save : open)(tree);
    from = null;
  });
  // A drag that the system takes away, or that becomes a pinch, leaves the tree where it stood.
  const back = () => {
    if (from) {
      tree.classList.remove('dragging');
      if (moved) {
        place(tree, from.x, from.y);
        tree.setAttribute('transform', from.transform);
      }
      from = null;
    }
  };
  plan.addEventListener('pointercancel', back);
  plan.addEventListener('pinch', back);
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

/** One tree more, or one less, of those that are moved together. */
function choose(tree) {
  const field = document.getElementById('several');
  if (!field) {
    return;
  }
  const tag = tree.querySelector('text').textContent.trim();
  const listed = field.value.split(/[,;]/).flatMap((each) => each.trim() || []);
  const chosen = !listed.includes(tag);
  field.value = (chosen ? [...listed, tag] : listed.filter((each) => each !== tag)).join(', ');
  field.closest('details').open = true;
  tree.classList.toggle('chosen', chosen);
  speak(tag + (chosen ? ' is chosen.' : ' is left out.'));
}

/** A tap on the plan puts the tree that is chosen there. */
function puts(plan) {
  const button = document.getElementById('put-here');
  if (!button) {
    return;
  }
  document.getElementById('put-by-tap').hidden = false;
  const f = frame(plan);
  const arm = (on) => {
    button.setAttribute('aria-pressed', on);
    plan.classList.toggle('putting', on);
    speak(on ? 'Tap the place on the plan; Escape ends it.' : '');
  };
  button.addEventListener('click', () => {
    arm(button.getAttribute('aria-pressed') !== 'true');
    plan.scrollIntoView({ block: 'nearest' });
  });
  document.addEventListener('keydown', (event) => {
    if (event.key === 'Escape' && plan.isConnected) {
      arm(false);
    }
  });
  plan.addEventListener('pointerup', (event) => {
    if (button.getAttribute('aria-pressed') !== 'true' || plan.dataset.panning) {
      return;
    }
    const [x, y] = f.metres(event);
    submit(base + '/layout/put', {
      choice: document.getElementById('put-choice').value,
      x: x.toFixed(3),
      y: y.toFixed(3),
    });
  });
}

layout();
