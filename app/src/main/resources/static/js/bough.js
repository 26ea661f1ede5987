// Draws, drags and asks. Everything is decided on the server.
document.addEventListener('alpine:init', () => {
  // The year slider: the number follows the thumb, the page follows when it is let go.
  Alpine.data('year', () => ({
    years: 0,
    init() {
      this.years = this.$root.dataset.from;
    },
  }));
});

document.addEventListener('DOMContentLoaded', () => {
  const base = document.body.dataset.base;
  const line = document.querySelector('.line');
  const here = line && line.querySelector('[aria-current]');
  if (here && line.scrollWidth > line.clientWidth) {
    line.scrollLeft = here.getBoundingClientRect().left - line.getBoundingClientRect().left - line.clientWidth / 2 + 58;
  }
  const selects = () => document.querySelectorAll('form.treeform select, form[data-auto] select').forEach(acts);
  selects();
  document.addEventListener('swapped', selects);
  // A new orchard keeps the clock of this browser, unless one was chosen before.
  const zone = document.querySelector('select[data-here]');
  const mine = Intl.DateTimeFormat().resolvedOptions().timeZone;
  if (zone && Array.from(zone.options).some((option) => option.value === mine)) {
    zone.value = mine;
  }
  document.querySelectorAll('[data-open]').forEach((button) =>
    button.addEventListener('click', (event) => {
      if (open(button.dataset.open)) {
        event.preventDefault();
      }
    }),
  );
  calendars();
  lights();
  leavings();
  switches();
  finder();
  keys(base);
});

/** A select acts when something is picked; by keys only with Enter or when it is left, for each arrow is a change. */
function acts(select) {
  const first = select.value;
  let keys = false;
  const show = () => {
    if (select.value !== first) {
      select.form.submit();
    }
  };
  select.addEventListener('pointerdown', () => {
    keys = false;
  });
  select.addEventListener('keydown', (event) => {
    keys = true;
    if (event.key === 'Enter') {
      event.preventDefault();
      show();
    }
  });
  select.addEventListener('change', () => keys || show());
  select.addEventListener('blur', show);
}

/** A task of the week lights the trees that it concerns. */
function lights() {
  document.querySelectorAll('[data-trees]').forEach((task) => {
    const crowns = task.dataset.trees
      .split(' ')
      .map((id) => id && document.querySelector('.plansk [data-tree="' + id + '"]'))
      .filter(Boolean);
    const lit = (on) => () => crowns.forEach((crown) => crown.classList.toggle('lit', on));
    ['mouseenter', 'focusin'].forEach((kind) => task.addEventListener(kind, lit(true)));
    ['mouseleave', 'focusout'].forEach((kind) => task.addEventListener(kind, lit(false)));
  });
}

const LEFT = 'left:';
const UNDO_SHOWN = 10_000;

/** A row of the list whose button was pressed leaves; for ten seconds undo stands in its place. */
function leavings() {
  const rows = () => Array.from(document.querySelectorAll('.knot tr'));
  const left = JSON.parse(sessionStorage.getItem(LEFT + location.pathname) || 'null');
  sessionStorage.removeItem(LEFT + location.pathname);
  const undo = document.getElementById('undo');
  const gone = left && undo && !rows().some((row) => row.textContent.includes(left.words));
  if (gone && Date.now() - left.at < UNDO_SHOWN) {
    const row = document.createElement('tr');
    row.className = 'leaving';
    const cell = row.appendChild(document.createElement('td'));
    cell.colSpan = 3;
    cell.append('Settled: ' + left.words + ' ');
    const button = cell.appendChild(document.createElement('button'));
    button.type = 'button';
    button.className = 'act';
    button.textContent = 'Undo';
    button.addEventListener('click', () => undo.requestSubmit());
    const before = rows()[left.place];
    if (before) {
      before.before(row);
    } else {
      const last = document.querySelector('.knot:last-of-type table');
      if (last) {
        last.append(row);
      }
    }
    setTimeout(() => row.remove(), UNDO_SHOWN);
  }
  rows().forEach((row, place) =>
    row.addEventListener('submit', () => {
      const words = row.querySelector('b').textContent;
      sessionStorage.setItem(LEFT + location.pathname, JSON.stringify({ words, place, at: Date.now() }));
    }),
  );
}

/** The small calendar beside a field for a day. */
function calendars() {
  document.querySelectorAll('button[data-day]').forEach((button) => {
    const field = document.getElementById(button.dataset.day);
    const native = document.createElement('input');
    native.type = 'date';
    native.tabIndex = -1;
    native.setAttribute('aria-hidden', 'true');
    native.addEventListener('change', () => {
      const day = new Date(native.value + 'T12:00');
      field.value = day.toLocaleDateString(button.dataset.words, { day: 'numeric', month: 'short', year: 'numeric' });
      field.dispatchEvent(new Event('change', { bubbles: true }));
      field.focus();
    });
    button.after(native);
    button.hidden = false;
    button.addEventListener('click', () => native.showPicker());
  });
}

const KEPT = 'kept:';

/** What differs from the page as it came, a bare figure with the unit that stands beside it. */
function typed() {
  const kept = {};
  document.querySelectorAll('main form').forEach((form, at) => {
    Array.from(form.elements).forEach((field) => {
      const name = field.name && !field.name.startsWith('_') && field.type !== 'hidden' ? field.name : '';
      const key = at + ' ' + name;
      if (!name || field.type === 'file' || field.type === 'password') {
        return;
      }
      if (field.type === 'checkbox' || field.type === 'radio') {
        if (field.checked !== field.defaultChecked) {
          kept[key + ' ' + field.value] = field.checked;
        }
      } else if (field.tagName === 'SELECT') {
        kept[key] = field.value;
      } else if (field.value !== field.defaultValue) {
        const unit = field.parentElement.querySelector('span');
        kept[key] = field.value + (unit && /^[\s\d.,½¼¾−-]+$/.test(field.value) ? ' ' + unit.textContent : '');
      }
    });
  });
  return kept;
}

/** The units switch leads back to this very page, and what was half filled in is there again. */
function switches() {
  const path = location.pathname + location.search;
  const kept = JSON.parse(sessionStorage.getItem(KEPT + path) || '{}');
  sessionStorage.removeItem(KEPT + path);
  document.querySelectorAll('main form').forEach((form, at) => {
    Array.from(form.elements).forEach((field) => {
      const key = at + ' ' + field.name;
      if (key + ' ' + field.value in kept && (field.type === 'checkbox' || field.type === 'radio')) {
        field.checked = kept[key + ' ' + field.value];
      } else if (key in kept) {
        field.value = kept[key];
      }
    });
  });
  document.querySelectorAll('form.seg').forEach((form) =>
    form.addEventListener('submit', () => {
      form.elements.back.value = path;
      sessionStorage.setItem(KEPT + path, JSON.stringify(typed()));
    }),
  );
}

/** Opens a dialog of the page, if it has one of that name. */
function open(name) {
  const dialog = document.getElementById(name);
  if (dialog) {
    dialog.showModal();
    const typed = dialog.querySelector('input');
    if (typed) {
      typed.dispatchEvent(new Event('input'));
      typed.focus();
    }
  }
  return Boolean(dialog);
}

/** The list that is found while one types; arrows choose, Enter goes there. */
function finder() {
  const dialog = document.getElementById('finder');
  if (!dialog) {
    return;
  }
  const typed = dialog.querySelector('input');
  const found = dialog.querySelector('.found');
  let asked = 0;
  let at = 0;
  const choose = (to) => {
    const hits = Array.from(found.querySelectorAll('[role=option]'));
    at = Math.max(0, Math.min(hits.length - 1, to));
    hits.forEach((hit, i) => hit.setAttribute('aria-selected', String(i === at)));
    typed.setAttribute('aria-activedescendant', hits.length ? hits[at].id : '');
    if (hits[at]) {
      hits[at].scrollIntoView({ block: 'nearest' });
    }
  };
  const go = (hit) => {
    if (hit) {
      location.href = hit.dataset.href;
    }
  };
  found.addEventListener('click', (event) => go(event.target.closest('[role=option]')));
  typed.addEventListener('input', () => {
    asked += 1;
    const mine = asked;
    fetch(dialog.dataset.url + '?list=true&q=' + encodeURIComponent(typed.value))
      .then((answer) => (answer.ok ? answer.text() : ''))
      .then((html) => {
        if (mine === asked) {
          found.innerHTML = html;
          choose(0);
        }
      })
      .catch(() => {
        found.textContent = 'The server does not answer.';
      });
  });
  typed.addEventListener('keydown', (event) => {
    if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
      event.preventDefault();
      choose(at + (event.key === 'ArrowDown' ? 1 : -1));
    } else if (event.key === 'Enter') {
      event.preventDefault();
      go(found.querySelector('[aria-selected=true]'));
    }
  });
}

function keys(base) {
  const next = (by) => {
    const steps = Array.from(document.querySelectorAll('[data-steps] a:not(.act)'));
    if (steps.length) {
      const focused = steps.indexOf(document.activeElement);
      const aimed = focused >= 0 ? focused : steps.findIndex((step) => step.closest(':target'));
      const here = aimed >= 0 ? aimed : steps.findIndex((step) => step.closest('.on, [aria-current]'));
      const to = here < 0 ? (by > 0 ? 0 : steps.length - 1) : here + by;
      if (steps[to]) {
        steps[to].focus();
        steps[to].click();
      }
      return;
    }
    const select = document.querySelector('form.treeform select');
    const at = select ? select.selectedIndex + by : -1;
    if (select && at >= 0 && at < select.options.length) {
      select.selectedIndex = at;
      select.form.submit();
    }
  };
  document.addEventListener('keydown', (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey || event.target.closest('input, textarea, select, dialog')) {
      return;
    }
    const stage = base && document.querySelector('.line a[data-key="' + event.key + '"]');
    if (stage) {
      location.href = stage.getAttribute('href');
    } else if (event.key === 'j') {
      next(1);
    } else if (event.key === 'k') {
      next(-1);
    } else if (event.key === '=') {
      const key = document.querySelector('details.row-f');
      if (key) {
        key.open = !key.open;
      }
    } else if (event.key === '.') {
      const act = document.querySelector('.find .act, .sheet .act');
      if (act) {
        act.click();
      }
    } else if (event.key === 'u') {
      const undo = document.getElementById('undo');
      if (undo) {
        undo.submit();
      }
    } else if (event.key === '/') {
      event.preventDefault();
      open('finder');
    } else if (event.key === '?') {
      open('keys');
    }
  });
}
