// The ground: pans, zooms, draws, drags and asks. What is true is decided on the server.
const { page } = await import(document.getElementById('shared').href);
const { frame, send: swapped, zoom } = await import(document.getElementById('drawn').href);

// j and k go from pit to pit.
function pits() {
  document.addEventListener('keydown', (event) => {
    const by = { j: 1, k: -1 }[event.key];
    const links = [...document.querySelectorAll('#sketch a[aria-label^="Pit "]')];
    if (
      !by ||
      !links.length ||
      event.ctrlKey ||
      event.metaKey ||
      event.altKey ||
      event.target.closest('input, textarea, select, dialog')
    ) {
      return;
    }
    const at = links.findIndex((a) => a.querySelector('.d-stringf'));
    const next = links[at + by];
    if (next) {
      location.href = next.getAttribute('href');
    }
  });
}

function site() {
  const sketch = document.getElementById('sketch');
  if (!sketch || !sketch.dataset.scale) {
    return;
  }
  zoom(sketch, '.feat:not([data-id="boundary"]), .handle, .pit, a, #cross');
  if (sketch.dataset.pick === 'true') {
    cross(sketch);
  }
  sliders();
  if (sketch.dataset.draw) {
    draw(sketch);
  }
}

const text = (points) => points.map((p) => p[0].toFixed(3) + ' ' + p[1].toFixed(3)).join(';');
const read = (words) => (words ? words.split(';').map((pair) => pair.split(' ').map(Number)) : []);

function cross(sketch) {
  const f = frame(sketch);
  const mark = document.getElementById('cross');
  const ask = (x, y) => {
    const to = new URL(location.href);
    to.searchParams.set('at', x.toFixed(2) + ',' + y.toFixed(2));
    location.href = to;
  };
  sketch.addEventListener('click', (event) => {
    if (sketch.dataset.panning || event.target.closest('a')) {
      return;
    }
    const p = f.metres(event);
    ask(p[0], p[1]);
  });
  mark.addEventListener('keydown', (event) => {
    const step = event.shiftKey ? 1 : 0.1;
    const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, step], ArrowDown: [0, -step] }[event.key];
    if (by) {
      event.preventDefault();
      mark.dataset.x = Number(mark.dataset.x) + by[0];
      mark.dataset.y = Number(mark.dataset.y) + by[1];
      mark.setAttribute(
        'transform',
        'translate(' +
          f
            .page([Number(mark.dataset.x), Number(mark.dataset.y)])
            .map((n) => n.toFixed(2))
            .join(',') +
          ')',
      );
    } else if (event.key === 'Enter') {
      ask(Number(mark.dataset.x), Number(mark.dataset.y));
    }
  });
}

// One question at a time, always the newest.
function asker() {
  let asking = false;
  let wanted = null;
  const ask = () => {
    if (asking || !wanted) {
      return;
    }
    asking = true;
    const url = wanted;
    wanted = null;
    fetch(url, { headers: { Accept: 'text/html' } })
      .then((answer) => (answer.ok ? answer.text() : null))
      .then((html) => {
        if (html !== null) {
          shade(html);
        }
      })
      .catch(() => {})
      .finally(() => {
        asking = false;
        ask();
      });
  };
  return (url) => {
    wanted = url;
    ask();
  };
}

function shade(html) {
  const answer = new DOMParser().parseFromString(html, 'text/html');
  ['shade', 'shade-words'].forEach((id) => {
    const now = document.getElementById(id);
    const next = answer.getElementById(id);
    if (now && next) {
      now.replaceChildren(...next.childNodes);
    }
  });
}

function sliders() {
  const form = document.getElementById('moment');
  if (!form) {
    return;
  }
  const ask = asker();
  form.querySelectorAll('input[type=range]').forEach((range) =>
    range.addEventListener('input', () => {
      ask(
        document.body.dataset.base +
          '/site/shadows?' +
          new URLSearchParams({ day: form.elements.day.value, minute: form.elements.minute.value }),
      );
    }),
  );
  form.querySelector('button').hidden = true;
}

// Sends a form and puts the page that comes back in the place of this one; what cannot be sent stays and says so.
const send = (action, fields) =>
  swapped(
    action,
    fields,
    () => {
      site();
      const picked = document.querySelector('.feat.on');
      if (picked && picked.dataset.id !== 'boundary') {
        picked.focus({ preventScroll: true });
      }
    },
    (words) => {
      const say = document.getElementById('shade-words');
      if (say) {
        say.textContent = words;
      }
    },
  );

function draw(sketch) {
  const f = frame(sketch);
  const base = document.body.dataset.base;
  const ask = asker();
  const many = new Set();
  const features = [...sketch.querySelectorAll('.feat')].filter((g) => g.dataset.id !== 'boundary');
  const corners = () =>
    features.flatMap((g) => read(g.dataset.points)).concat(read(sketch.dataset.picked === 'boundary' ? '' : ring()));
  const ring = () => {
    const p = sketch.querySelector('.d-plot');
    return p
      ? [...p.points]
          .map(
            (q) =>
              ((q.x - Number(sketch.dataset.left)) / f.scale).toFixed(3) +
              ' ' +
              ((Number(sketch.dataset.bottom) - q.y) / f.scale).toFixed(3),
          )
          .join(';')
      : '';
  };
  // To a corner within 9 pixels, to a line within 7, else to 10 cm; never with Alt.
  const snap = (p, event, own) => {
    if (event && event.altKey) {
      return p;
    }
    const mine = new Set((own || []).map((q) => q.join(' ')));
    let best = null;
    corners().forEach((q) => {
      const d = f.pixels(Math.hypot(q[0] - p[0], q[1] - p[1]));
      if (d < 9 && !mine.has(q.join(' ')) && (!best || d < best.d)) {
        best = { d, p: q };
      }
    });
    if (best) {
      return best.p;
    }
    const edge = read(ring());
    edge.forEach((a, i) => {
      const b = edge[(i + 1) % edge.length];
      const dx = b[0] - a[0];
      const dy = b[1] - a[1];
      const t = Math.max(0, Math.min(1, ((p[0] - a[0]) * dx + (p[1] - a[1]) * dy) / (dx * dx + dy * dy)));
      const q = [a[0] + t * dx, a[1] + t * dy];
      const d = f.pixels(Math.hypot(q[0] - p[0], q[1] - p[1]));
      if (sketch.dataset.picked !== 'boundary' && d < 7 && (!best || d < best.d)) {
        best = { d, p: q };
      }
    });
    return best ? best.p : [Math.round(p[0] * 10) / 10, Math.round(p[1] * 10) / 10];
  };
  if (sketch.dataset.drawing) {
    adding(sketch, f, snap);
    return;
  }

  const path = (points, closed) =>
    points
      .map(
        (p, i) =>
          (i ? 'L' : 'M') +
          f
            .page(p)
            .map((n) => n.toFixed(1))
            .join(' '),
      )
      .join('') + (closed ? 'Z' : '');
  const shift = (g, dx, dy) =>
    g.setAttribute('transform', 'translate(' + (dx * f.scale).toFixed(2) + ',' + (-dy * f.scale).toFixed(2) + ')');
  const together = (ids, fields) => send(base + '/site/features/together', { ids: ids.join(','), ...fields });
  const chosen = (g) =>
    many.has(g.dataset.id) && many.size > 1 ? features.filter((o) => many.has(o.dataset.id)) : [g];

  features.forEach((g) => {
    let from = null;
    let moved = null;
    let later = 0;
    let nudge = [0, 0];
    g.addEventListener('pointerdown', (event) => {
      from = f.metres(event);
      moved = null;
      g.setPointerCapture(event.pointerId);
      event.stopPropagation();
    });
    g.addEventListener('pointermove', (event) => {
      if (!from) {
        return;
      }
      const now = f.metres(event);
      if (!moved && f.pixels(Math.hypot(now[0] - from[0], now[1] - from[1])) < 5) {
        return;
      }
      const first = read(g.dataset.points)[0];
      const to = snap([first[0] + now[0] - from[0], first[1] + now[1] - from[1]], event, read(g.dataset.points));
      moved = [to[0] - first[0], to[1] - first[1]];
      chosen(g).forEach((o) => shift(o, moved[0], moved[1]));
      ask(
        base +
          '/site/try?' +
          new URLSearchParams({
            feature: g.dataset.id,
            points: text(read(g.dataset.points).map((p) => [p[0] + moved[0], p[1] + moved[1]])),
          }),
      );
    });
    const drop = (event) => {
      if (!from) {
        return;
      }
      from = null;
      if (moved) {
        put(moved);
        return;
      }
      if (event.shiftKey) {
        if (many.has(g.dataset.id)) {
          many.delete(g.dataset.id);
        } else {
          many.add(g.dataset.id);
        }
        g.classList.toggle('many', many.has(g.dataset.id));
      } else {
        location.href = base + '/site/draw?feature=' + g.dataset.id;
      }
    };
    g.addEventListener('pointerup', drop);
    g.addEventListener('pointercancel', () => {
      from = null;
      shift(g, 0, 0);
    });
    const put = (by) => {
      const all = chosen(g);
      if (all.length > 1) {
        together(
          all.map((o) => o.dataset.id),
          { dx: by[0].toFixed(3), dy: by[1].toFixed(3) },
        );
      } else {
        send(base + '/site/features/' + g.dataset.id + '/shape', {
          points: text(read(g.dataset.points).map((p) => [p[0] + by[0], p[1] + by[1]])),
        });
      }
    };
    g.addEventListener('keydown', (event) => {
      const step = event.shiftKey ? 1 : 0.1;
      const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, step], ArrowDown: [0, -step] }[event.key];
      if (by) {
        event.preventDefault();
        nudge = [nudge[0] + by[0], nudge[1] + by[1]];
        chosen(g).forEach((o) => shift(o, nudge[0], nudge[1]));
        clearTimeout(later);
        later = setTimeout(() => {
          put(nudge);
        }, 700);
      } else if (event.key === 'Enter') {
        location.href = base + '/site/draw?feature=' + g.dataset.id;
      } else if (event.key === ' ') {
        event.preventDefault();
        if (many.has(g.dataset.id)) {
          many.delete(g.dataset.id);
        } else {
          many.add(g.dataset.id);
        }
        g.classList.toggle('many', many.has(g.dataset.id));
      } else if (event.key === 'Delete') {
        together(
          chosen(g).map((o) => o.dataset.id),
          { remove: true },
        );
      }
    });
  });

  sketch.querySelectorAll('.pit').forEach((g) => {
    let from = null;
    let to = null;
    let later = 0;
    const place = (p) => {
      to = p;
      g.setAttribute(
        'transform',
        'translate(' +
          f
            .page(p)
            .map((n) => n.toFixed(2))
            .join(',') +
          ')',
      );
    };
    const put = () =>
      send(base + '/site/pits/' + g.dataset.pit + '/move', { x: to[0].toFixed(3), y: to[1].toFixed(3) });
    g.addEventListener('pointerdown', (event) => {
      from = f.metres(event);
      to = null;
      g.setPointerCapture(event.pointerId);
      event.stopPropagation();
    });
    g.addEventListener('pointermove', (event) => {
      if (!from) {
        return;
      }
      const now = f.metres(event);
      if (to || f.pixels(Math.hypot(now[0] - from[0], now[1] - from[1])) > 5) {
        place([Math.round(now[0] * 10) / 10, Math.round(now[1] * 10) / 10]);
      }
    });
    g.addEventListener('pointerup', () => {
      if (from && to) {
        put();
      } else if (from) {
        location.href = base + '/site/pits/' + g.dataset.pit;
      }
      from = null;
    });
    g.addEventListener('keydown', (event) => {
      const step = event.shiftKey ? 1 : 0.1;
      const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, step], ArrowDown: [0, -step] }[event.key];
      if (by) {
        event.preventDefault();
        const now = to || [Number(g.dataset.x), Number(g.dataset.y)];
        place([now[0] + by[0], now[1] + by[1]]);
        clearTimeout(later);
        later = setTimeout(put, 700);
      } else if (event.key === 'Enter') {
        location.href = base + '/site/pits/' + g.dataset.pit;
      }
    });
  });

  // The handles of what is picked: its corners, and a dot between two for a new one.
  const handles = document.getElementById('handles');
  const picked = sketch.dataset.picked;
  if (!picked || !handles) {
    return;
  }
  let points = read(sketch.dataset.handles);
  const closed = sketch.dataset.shape === 'AREA';
  const least = { POINT: 1, LINE: 2, AREA: 3 }[sketch.dataset.shape];
  const outline = document.createElementNS('http://www.w3.org/2000/svg', 'path');
  outline.setAttribute('class', 'mine');
  const save = () => send(base + '/site/features/' + picked + '/shape', { points: text(points) });
  const dot = (p, index, mid) => {
    const c = document.createElementNS('http://www.w3.org/2000/svg', 'circle');
    c.setAttribute('class', mid ? 'handle mid' : 'handle');
    c.setAttribute('r', 7);
    c.setAttribute('tabindex', 0);
    c.setAttribute('role', 'button');
    c.setAttribute('aria-label', mid ? 'New corner after ' + (index + 1) : 'Corner ' + (index + 1));
    const at = (q) => {
      const [x, y] = f.page(q);
      c.setAttribute('cx', x.toFixed(2));
      c.setAttribute('cy', y.toFixed(2));
    };
    at(p);
    let held = false;
    let later = 0;
    const move = (q) => {
      if (mid) {
        points.splice(index + 1, 0, q);
        index += 1;
        mid = false;
        c.setAttribute('class', 'handle');
      }
      points[index] = q;
      at(q);
      outline.setAttribute('d', path(points, closed));
      if (picked !== 'boundary') {
        ask(base + '/site/try?' + new URLSearchParams({ feature: picked, points: text(points) }));
      }
    };
    c.addEventListener('pointerdown', (event) => {
      held = true;
      c.setPointerCapture(event.pointerId);
      event.stopPropagation();
    });
    c.addEventListener('pointermove', (event) => {
      if (held) {
        move(snap(f.metres(event), event, points));
        held = 'moved';
      }
    });
    c.addEventListener('pointerup', () => {
      if (held === 'moved') {
        save();
      }
      held = false;
    });
    c.addEventListener('keydown', (event) => {
      const step = event.shiftKey ? 1 : 0.1;
      const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, step], ArrowDown: [0, -step] }[event.key];
      if (by) {
        event.preventDefault();
        const now = mid ? p : points[index];
        move([now[0] + by[0], now[1] + by[1]]);
        clearTimeout(later);
        later = setTimeout(save, 700);
      } else if (event.key === 'Delete' && !mid && points.length > least) {
        points.splice(index, 1);
        save();
      }
    });
    return c;
  };
  handles.append(outline);
  if (sketch.dataset.shape !== 'POINT') {
    points.forEach((p, i) => {
      const q = points[(i + 1) % points.length];
      if (closed || i + 1 < points.length) {
        handles.append(dot([(p[0] + q[0]) / 2, (p[1] + q[1]) / 2], i, true));
      }
    });
    points.forEach((p, i) => handles.append(dot(p, i, false)));
  }
}

// A new feature: clicks or keys set its points.
function adding(sketch, f, snap) {
  const form = document.getElementById('adding');
  const shape = sketch.dataset.drawing;
  const least = { POINT: 1, LINE: 2, AREA: 3 }[shape];
  const points = [];
  const make = (name, css) => {
    const e = document.createElementNS('http://www.w3.org/2000/svg', name);
    e.setAttribute('class', css);
    document.getElementById('handles').append(e);
    return e;
  };
  const rubber = make('path', 'rubber');
  const cursor = make('path', 'cursor');
  cursor.setAttribute('d', 'M-11 0h22M0 -11v22');
  let at = [(363 - Number(sketch.dataset.left)) / f.scale, (Number(sketch.dataset.bottom) - 330) / f.scale].map(
    (n) => Math.round(n * 10) / 10,
  );
  const show = () => {
    const all = points.concat([at]);
    rubber.setAttribute(
      'd',
      all
        .map(
          (p, i) =>
            (i ? 'L' : 'M') +
            f
              .page(p)
              .map((n) => n.toFixed(1))
              .join(' '),
        )
        .join('') + (shape === 'AREA' && all.length > 2 ? 'Z' : ''),
    );
    cursor.setAttribute(
      'transform',
      'translate(' +
        f
          .page(at)
          .map((n) => n.toFixed(1))
          .join(',') +
        ')',
    );
  };
  const end = () => {
    if (points.length < least) {
      return;
    }
    form.elements.points.value = text(points);
    form.submit();
  };
  const set = () => {
    const last = points[points.length - 1];
    if (!last || Math.hypot(last[0] - at[0], last[1] - at[1]) > 0.02) {
      points.push(at);
    }
    show();
    if (shape === 'POINT') {
      end();
    }
  };
  sketch.addEventListener('pointermove', (event) => {
    at = snap(f.metres(event), event);
    show();
  });
  sketch.addEventListener('click', (event) => {
    at = snap(f.metres(event), event);
    set();
  });
  sketch.addEventListener('dblclick', end);
  sketch.addEventListener('keydown', (event) => {
    const step = event.shiftKey ? 1 : 0.1;
    const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, step], ArrowDown: [0, -step] }[event.key];
    if (by) {
      event.preventDefault();
      at = [at[0] + by[0], at[1] + by[1]];
      show();
    } else if (
      event.key === 'Enter' &&
      points.length &&
      Math.hypot(points[points.length - 1][0] - at[0], points[points.length - 1][1] - at[1]) < 0.02
    ) {
      event.preventDefault();
      end();
    } else if (event.key === 'Enter') {
      event.preventDefault();
      set();
    } else if (event.key === 'Backspace') {
      event.preventDefault();
      points.pop();
      show();
    } else if (event.key === 'f' || event.key === 'F') {
      end();
    } else if (event.key === 'Escape') {
      location.href = document.body.dataset.base + '/site/draw';
    }
  });
  sketch.focus({ preventScroll: true });
  show();
}

// The clock of a drainage test. Readings that could not be sent wait here, with the moment at which they were taken.
function timer() {
  const box = document.getElementById('timer');
  if (!box) {
    return;
  }
  const begun = Number(box.dataset.begun);
  const clock = box.querySelector('.clock');
  const down = document.getElementById('down');
  const wrong = document.getElementById('down-wrong');
  const unsent = document.getElementById('unsent');
  const key = 'readings ' + box.dataset.test;
  const waiting = () => JSON.parse(localStorage.getItem(key) || '[]');
  const keep = (list) => {
    localStorage.setItem(key, JSON.stringify(list));
    unsent.textContent = list.length
      ? list.length +
        (list.length === 1 ? ' reading waits' : ' readings wait') +
        ' here until the server can be reached.'
      : '';
  };
  const tick = () => {
    const s = Math.max(0, Math.floor((Date.now() - begun) / 1000));
    const h = Math.floor(s / 3600);
    clock.textContent =
      (h ? h + ':' + String(Math.floor(s / 60) % 60).padStart(2, '0') : Math.floor(s / 60)) +
      ':' +
      String(s % 60).padStart(2, '0');
  };
  let sending = false;
  const flush = () => {
    const list = waiting();
    if (sending || !list.length) {
      return;
    }
    sending = true;
    const body = new URLSearchParams({ ...list[0], _csrf: document.querySelector('input[name="_csrf"]').value });
    fetch(box.dataset.url, { method: 'POST', body })
      .then((answer) => answer.text().then((words) => ({ ok: answer.ok, status: answer.status, words })))
      .then(({ ok, status, words }) => {
        sending = false;
        if (ok) {
          keep(waiting().slice(1));
          if (waiting().length) {
            flush();
          } else {
            location.reload();
          }
        } else if (status === 422) {
          const bad = waiting()[0];
          keep(waiting().slice(1));
          wrong.textContent = words;
          down.value = bad.down;
        } else {
          unsent.textContent = 'This reading is kept here; sign in again to send it.';
        }
      })
      .catch(() => {
        sending = false;
        keep(waiting());
      });
  };
  const take = () => {
    wrong.textContent = '';
    if (!down.value.trim()) {
      wrong.textContent = 'How far below the stick does the water stand?';
      return;
    }
    keep(waiting().concat([{ taken: Date.now(), down: down.value }]));
    down.value = '';
    flush();
  };
  box.querySelector('button').addEventListener('click', take);
  down.addEventListener('keydown', (event) => {
    if (event.key === 'Enter') {
      event.preventDefault();
      take();
    }
  });
  window.addEventListener('online', flush);
  document.addEventListener('visibilitychange', () => {
    if (!document.hidden) {
      tick();
      flush();
    }
  });
  setInterval(tick, 500);
  setInterval(flush, 15000);
  tick();
  keep(waiting());
  flush();
}

site();
timer();
pits();
