// Whether another page is on its way. What was asked by this one fails then, and must not be asked again by loading a page.
const A_WHILE = 5000;
let leaving = false;

// A link to a file leads nowhere: the page stays.
window.addEventListener('beforeunload', () => {
  leaving = true;
  setTimeout(() => {
    leaving = false;
  }, A_WHILE);
});

export const isLeaving = () => leaving;
