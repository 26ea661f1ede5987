// The tree is lifted and lowered in its hole: asked as it goes, stored when it is let go.
const { base, newest, page } = await import(document.getElementById('shared').href);
const { send } = await import(document.getElementById('drawn').href);

// Heights go by half centimetres.
const STEP = 0.005;
const REST = 900;
let later = 0;

function lifts() {
  const drawing = document.getElementById('section');
  if (!drawing || drawing.dataset.drag !== 'true') {
    return;
  }
  const { tree, weeks } = drawing.dataset;
  const speak = (words) => {
    document.getElementById('drag-words').textContent = words;
  };
  const ask = newest(
    base + '/planting/try',
    (html) => {
      const next = page(html);
      const drawn = next.getElementById('section');
      drawing.innerHTML = drawn.innerHTML;
      drawing.setAttribute('aria-valuetext', drawn.dataset.words);
      document.getElementById('live').innerHTML = next.getElementById('live').innerHTML;
    },
    () => speak('The server does not answer; the tree was not moved.'),
  );
  let raise = Number(drawing.dataset.raise);
  const to = (metres) => {
    raise = Math.max(-0.3, Math.min(0.4, Math.round(metres / STEP) * STEP));
    drawing.setAttribute('aria-valuenow', raise.toFixed(3));
    ask({ tree, weeks, raise: raise.toFixed(3) });
  };
  const store = () =>
    send(
      base + '/planting/' + tree + '/hole',
      { raise: raise.toFixed(3), weeks },
      () => {
        lifts();
        document.getElementById('section').focus({ preventScroll: true });
      },
      speak,
    );
  let from = null;
  drawing.addEventListener('pointerdown', (event) => {
    if (!from && event.target.closest('#lifted')) {
      from = { id: event.pointerId, y: event.clientY, raise };
      drawing.setPointerCapture(event.pointerId);
      drawing.classList.add('dragging');
    }
  });
  drawing.addEventListener('pointermove', (event) => {
    if (from && event.pointerId === from.id) {
      const pixels = drawing.getScreenCTM().a * Number(drawing.dataset.scale);
      to(from.raise - (event.clientY - from.y) / pixels);
    }
  });
  drawing.addEventListener('pointerup', (event) => {
    if (from && event.pointerId === from.id) {
      const moved = Math.abs(raise - from.raise) > STEP / 2;
      from = null;
      drawing.classList.remove('dragging');
      if (moved) {
        store();
      }
    }
  });
  drawing.addEventListener('pointercancel', () => {
    if (from) {
      to(from.raise);
      from = null;
      drawing.classList.remove('dragging');
    }
  });
  drawing.addEventListener('keydown', (event) => {
    const by = { ArrowUp: STEP, ArrowRight: STEP, ArrowDown: -STEP, ArrowLeft: -STEP }[event.key];
    if (by) {
      event.preventDefault();
      to(raise + (event.shiftKey ? 4 * by : by));
      clearTimeout(later);
      later = setTimeout(store, REST);
    }
  });
}

lifts();

/** How many of the cards are made. */
function prints() {
  const bar = document.getElementById('printing');
  if (!bar) {
    return;
  }
  const look = () =>
    fetch(base + '/planting/cards/progress', { headers: { Accept: 'application/json' } })
      .then((answer) => answer.json())
      .then((far) => {
        bar.value = far.percent;
        document.getElementById('printed').textContent = far.done + ' of ' + far.cards;
        if (far.running) {
          setTimeout(look, 400);
        } else {
          location.reload();
        }
      })
      .catch(() => setTimeout(look, 2000));
  setTimeout(look, 300);
}

prints();
