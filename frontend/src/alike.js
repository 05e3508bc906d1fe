// What now stands where that stood: it has its name, or leads to the same place, or ticks the same.
export const alike = (root, gone) => {
  if (gone.id) return root.querySelector(`#${CSS.escape(gone.id)}`);
  const same = gone.matches('a[href]') ? ['href'] : gone.matches('input[type=checkbox][value]') ? ['type', 'name', 'value'] : [];
  const said = same.map((name) => `[${name}="${CSS.escape(gone.getAttribute(name))}"]`).join('');
  return said ? root.querySelector(gone.localName + said) : null;
};
