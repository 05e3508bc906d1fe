// One at a time: what is asked while an answer is on its way is asked after it, and only the last of it. Two of them could
// overtake one another on the way, and the older would then be what is kept.
export const oneAtATime = (task) => {
  let underWay = false;
  let again = false;
  return async () => {
    again = true;
    if (underWay) return;
    underWay = true;
    try {
      while (again) {
        again = false;
        await task();
      }
    } finally {
      underWay = false;
    }
  };
};
