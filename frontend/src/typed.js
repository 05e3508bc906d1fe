// Whether something was typed or ticked before the script was there, or was put back by the browser: no event told of it.
export const typedBefore = (form) =>
  [...form.elements].some((control) =>
    /^(checkbox|radio)$/.test(control.type)
      ? control.checked !== control.defaultChecked
      : control.matches('input:not([type=hidden], [type=file]), textarea') && control.value !== control.defaultValue,
  );
