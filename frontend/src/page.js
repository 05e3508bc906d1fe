import { released } from './pressed.js';

// A page or a part of one as it was fetched; what was refused is an error.
export const pageFrom = async (answer) => {
  if (!answer.ok) throw new Error(answer.statusText);
  const html = new DOMParser().parseFromString(await answer.text(), 'text/html');
  await released();
  return html;
};
