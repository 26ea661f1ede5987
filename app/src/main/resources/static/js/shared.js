// What the rooms' modules share: stamped sending, and asking for the newest only.

/** The address of the open orchard. */
export const base = document.body.dataset.base;

/** Fields with the token, an id by which the change is applied once, and the revision of the page. */
export function stamped(fields) {
  return {
    ...fields,
    _csrf: document.querySelector('input[name="_csrf"]').value,
    _edit: uuid(),
    _revision: document.querySelector('main').dataset.revision,
  };
}

function uuid() {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = (bytes[6] & 0x0f) | 0x40;
  bytes[8] = (bytes[8] & 0x3f) | 0x80;
  const hex = Array.from(bytes, (byte) => byte.toString(16).padStart(2, '0')).join('');
  return [hex.slice(0, 8), hex.slice(8, 12), hex.slice(12, 16), hex.slice(16, 20), hex.slice(20)].join('-');
}

/** Sends fields as a form of the page would, and goes where the answer leads. */
export function submit(action, fields) {
  const form = document.createElement('form');
  form.method = 'post';
  form.action = action;
  Object.entries(stamped(fields)).forEach(([name, value]) => {
    const field = document.createElement('input');
    field.type = 'hidden';
    field.name = name;
    field.value = value;
    form.append(field);
  });
  document.body.append(form);
  form.submit();
}

export const page = (html) => new DOMParser().parseFromString(html, 'text/html');

/**
 * Asks one question at a time, always the newest: what was wished while an answer was awaited is asked next, what was
 * wished before that is not asked at all.
 */
export function newest(address, show, failed) {
  let asking = false;
  let wanted = null;
  const ask = () => {
    if (asking || wanted === null) {
      return;
    }
    asking = true;
    const url = address + '?' + wanted;
    wanted = null;
    fetch(url, { headers: { Accept: 'text/html' } })
      .then((answer) => (answer.ok ? answer.text() : null))
      .then((html) => html !== null && show(html))
      .catch(failed)
      .finally(() => {
        asking = false;
        ask();
      });
  };
  return (query) => {
    wanted = new URLSearchParams(query).toString();
    ask();
  };
}
