// Draws, drags and asks. Everything is decided on the server.
document.addEventListener('alpine:init', () => {
  // The year slider: the number follows the thumb, the page follows when it is let go.
  Alpine.data('year', () => ({
    years: 0,
    init() {
      this.years = this.$root.dataset.from;
    },
    show() {
      this.$root.submit();
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
  document
    .querySelectorAll('form.treeform select')
    .forEach((select) => select.addEventListener('change', () => select.form.submit()));
  // On a phone the sketch is wider than the screen: begin where the measure to carry stands.
  const sketch = document.querySelector('.sk');
  if (sketch && sketch.scrollWidth > sketch.clientWidth) {
    sketch.scrollLeft = 0.75 * (sketch.scrollWidth - sketch.clientWidth);
  }
  document
    .querySelectorAll('form[data-auto] select')
    .forEach((select) => select.addEventListener('change', () => select.form.submit()));
  // A new orchard keeps the clock of this browser, unless one was chosen before.
  const zone = document.querySelector('select[data-here]');
  const mine = Intl.DateTimeFormat().resolvedOptions().timeZone;
  if (zone && Array.from(zone.options).some((option) => option.value === mine)) {
    zone.value = mine;
  }
  keys(base);
});

function keys(base) {
  const next = (by) => {
    const steps = Array.from(document.querySelectorAll('table[data-steps] a'));
    if (steps.length) {
      const here = steps.findIndex((step) => step.closest('tr').classList.contains('on'));
      const to = here < 0 ? (by > 0 ? 0 : steps.length - 1) : here + by;
      if (steps[to]) {
        location.href = steps[to].getAttribute('href');
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
      const act = document.querySelector('.find .act');
      if (act) {
        act.click();
      }
    } else if (event.key === 'u') {
      const undo = document.getElementById('undo');
      if (undo) {
        undo.submit();
      }
    } else if (event.key === '/') {
      const pick = document.querySelector('.fig select');
      if (pick) {
        pick.focus();
        event.preventDefault();
      }
    } else if (event.key === '?') {
      const help = document.getElementById('keys');
      if (help) {
        help.showModal();
      }
    }
  });
}
