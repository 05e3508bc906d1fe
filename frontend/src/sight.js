// On a narrow screen the ribbon of days is wider than its place: the chosen day is brought into sight.
export const bringIntoSight = (root) => {
  const place = root.querySelector('.scroll');
  const day = root.querySelector('.day[aria-current]');
  if (!place || !day || place.scrollWidth <= place.clientWidth) return;
  const { left, width } = day.getBoundingClientRect();
  place.scrollLeft += left + width / 2 - place.getBoundingClientRect().left - place.clientWidth / 2;
};
