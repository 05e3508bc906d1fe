// Reads a calendar file into the field below it; of what is in it only the lines that tell of days, so that it stays small.
const KEPT = /^(BEGIN|END|VERSION|DTSTART|DTEND|SUMMARY|RRULE|RDATE|EXDATE)[;:]/;

export const daysOf = (text) =>
  text
    .replace(/\r?\n[ \t]/g, '')
    .split(/\r?\n/)
    .filter((line) => KEPT.test(line))
    .join('\r\n');

export const calendarFile = () => ({
  form: {
    'data-x-on:change'(event) {
      if (event.target.type === 'file') this.read(event.target);
    },
  },

  init() {
    this.$root.querySelector('[data-file]').hidden = false;
  },

  async read(input) {
    const file = input.files[0];
    if (file) this.$root.querySelector('textarea').value = daysOf(await file.text());
  },
});
