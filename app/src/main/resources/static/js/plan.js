// What drawings to scale share: metres and back, coming nearer, and a change that leaves the page where it is.
const { page, stamped } = await import(document.getElementById('shared').href);

// Milliseconds of stillness after which a drawing is drawn anew.
const REST = 140;

// Metres to the page and back: the same figures as the server's sheet.
export function frame(sketch) {
  const scale = Number(sketch.dataset.scale);
  const left = Number(sketch.dataset.left);
  const bottom = Number(sketch.dataset.bottom);
  return {
    scale,
    page: (p) => [left + scale * p[0], bottom - scale * p[1]],
    metres: (event) => {
      const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(sketch.getScreenCTM().inverse());
      return [(at.x - left) / scale, (bottom - at.y) / scale];
    },
    pixels: (metres) => metres * scale * sketch.getScreenCTM().a,
  };
}

/**
 * The wheel and two fingers come nearer; the mouse or one finger on open ground pans.
 *
 * @param things a selector of what one finger does something else with
 */
export function zoom(sketch, things) {
  const whole = sketch.getAttribute('viewBox').split(' ').map(Number);
  const key = 'zoom ' + location.pathname;
  let box = (sessionStorage.getItem(key) || '').split(' ').map(Number);
  if (box.length !== 4 || box.some((n) => !Number.isFinite(n))) {
    box = whole.slice();
  }
  // A large drawing has a pane, which is shifted and stretched while it moves; it is drawn anew when it comes to rest.
  const pane = sketch.closest('.pan');
  let drawn = box;
  let scale = 1;
  let rest = 0;
  const settle = () => {
    clearTimeout(rest);
    // A page that was put in its place has a drawing of its own.
    if (!sketch.isConnected) {
      return;
    }
    if (pane) {
      pane.style.transform = '';
    }
    sketch.setAttribute('viewBox', box.map((n) => n.toFixed(2)).join(' '));
    drawn = box.slice();
    scale = sketch.getScreenCTM().a;
    sessionStorage.setItem(key, box.join(' '));
  };
  const show = () => {
    if (!pane) {
      settle();
      return;
    }
    const dx = drawn[0] + drawn[2] / 2 - box[0] - box[2] / 2;
    const dy = drawn[1] + drawn[3] / 2 - box[1] - box[3] / 2;
    pane.style.transform = 'scale(' + drawn[2] / box[2] + ') translate(' + dx * scale + 'px,' + dy * scale + 'px)';
    clearTimeout(rest);
    rest = setTimeout(settle, down.size ? 4 * REST : REST);
  };
  const by = (factor, x, y) => {
    const wide = Math.min(whole[2] * 1.6, Math.max(whole[2] / 24, box[2] * factor));
    const f = wide / box[2];
    box = [x - (x - box[0]) * f, y - (y - box[1]) * f, wide, box[3] * f];
    show();
  };
  const at = (event) => new DOMPoint(event.clientX, event.clientY).matrixTransform(sketch.getScreenCTM().inverse());
  sketch.addEventListener(
    'wheel',
    (event) => {
      event.preventDefault();
      const p = at(event);
      by(event.deltaY > 0 ? 1.18 : 1 / 1.18, p.x, p.y);
    },
    { passive: false },
  );
  document.querySelectorAll('[data-zoom]').forEach((button) =>
    button.addEventListener('click', () => {
      if (button.dataset.zoom === 'fit') {
        box = whole.slice();
        settle();
      } else {
        by(button.dataset.zoom === 'in' ? 1 / 1.4 : 1.4, box[0] + box[2] / 2, box[1] + box[3] / 2);
      }
    }),
  );
  // Pixels to a unit as it is seen; asking the browser would cost a layout for each move.
  const now = () => (scale * drawn[2]) / box[2];
  const down = new Map();
  let apart = 0;
  let middle = null;
  sketch.addEventListener('pointerdown', (event) => {
    const held = Boolean(event.target.closest(things)) || Boolean(sketch.dataset.drawing);
    down.set(event.pointerId, { clientX: event.clientX, clientY: event.clientY, held });
    apart = 0;
    if (down.size === 2) {
      sketch.dataset.panning = 'true';
      sketch.dispatchEvent(new CustomEvent('pinch'));
    }
  });
  sketch.addEventListener('pointermove', (event) => {
    const before = down.get(event.pointerId);
    if (!before || (down.size === 1 && before.held)) {
      return;
    }
    if (down.size === 1) {
      const k = now();
      if (Math.hypot(event.clientX - before.clientX, event.clientY - before.clientY) > 3 || sketch.dataset.panning) {
        sketch.dataset.panning = 'true';
        box[0] -= (event.clientX - before.clientX) / k;
        box[1] -= (event.clientY - before.clientY) / k;
        down.set(event.pointerId, { clientX: event.clientX, clientY: event.clientY, held: false });
        show();
      }
    } else {
      down.set(event.pointerId, { clientX: event.clientX, clientY: event.clientY, held: before.held });
      const [a, b] = [...down.values()];
      const wide = Math.hypot(a.clientX - b.clientX, a.clientY - b.clientY);
      const here = { clientX: (a.clientX + b.clientX) / 2, clientY: (a.clientY + b.clientY) / 2 };
      if (apart) {
        const k = now();
        box[0] -= (here.clientX - middle.clientX) / k;
        box[1] -= (here.clientY - middle.clientY) / k;
        const p = at(here);
        by(apart / wide, p.x, p.y);
      }
      apart = wide;
      middle = here;
    }
  });
  const up = (event) => {
    down.delete(event.pointerId);
    apart = 0;
    if (down.size === 0) {
      setTimeout(() => {
        delete sketch.dataset.panning;
      }, 0);
    }
  };
  ['pointerup', 'pointercancel', 'pointerleave'].forEach((name) => sketch.addEventListener(name, up));
  settle();
}

/**
 * Sends a change and puts the new page in the place of the old one, without a jump.
 *
 * @param shown called when the new page stands
 * @param failed called with a sentence when the server does not answer
 */
export function send(action, fields, shown, failed) {
  return fetch(action, { method: 'POST', body: new URLSearchParams(stamped(fields)), headers: { Accept: 'text/html' } })
    .then((answer) => answer.text().then((html) => ({ next: page(html), answer })))
    .then(({ next, answer }) => {
      if (!next.querySelector('main.spread')) {
        // Someone was faster, or it may not be: the page says which, with both values.
        if (answer.ok) {
          location.reload();
        } else {
          document.body.replaceWith(next.body);
        }
        return;
      }
      const scrolled = document.getElementById('figures').scrollTop;
      ['main.spread', 'nav.line', 'header.top', 'footer.foot'].forEach((part) =>
        document.querySelector(part).replaceWith(next.querySelector(part)),
      );
      document.getElementById('figures').scrollTop = scrolled;
      if (answer.redirected) {
        history.replaceState(null, '', answer.url);
      }
      document.dispatchEvent(new Event('swapped'));
      shown();
    })
    .catch(() => failed('The server does not answer: this is not saved yet. It stays here; try again.'));
}
