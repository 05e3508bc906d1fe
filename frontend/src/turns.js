// One at a time: what is asked while an answer is on its way is asked after it, and only the last of it. Two of them could
// overtake one another on the way, and the older would then be what is kept. Whoever waits for it waits for the last.
export const oneAtATime = (task) => {
  let underWay = null;
  let again = false;
  const all = async () => {
    try {
      while (again) {
        again = false;
        await task();
      }
    } finally {
      underWay = null;
    }
  };
  return () => {
    again = true;
    underWay ??= all();
    return underWay;
  };
};
