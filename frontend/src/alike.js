// What now stands where that stood: it has its name, or leads to the same place.
export const alike = (root, gone) => {
  if (gone.id) return root.querySelector(`#${CSS.escape(gone.id)}`);
  return gone.matches('a[href]') ? root.querySelector(`a[href="${CSS.escape(gone.getAttribute('href'))}"]`) : null;
};
