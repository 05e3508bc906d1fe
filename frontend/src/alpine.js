// Alpine of those of its parts that are used here, and without expressions: what stands in an attribute is the name of a member
// of its component. So nothing is evaluated (the policy allows none), and no page pays for a language that none speaks: its
// build for strict policies reads every property of the window when it starts, which lays the page out before it is painted.
import Alpine from 'alpinejs/src/alpine';
import { generateEvaluatorFromFunction, runIfTypeOfFunction } from 'alpinejs/src/evaluator';
import { injectMagics } from 'alpinejs/src/magics';
import { closestDataStack, mergeProxies } from 'alpinejs/src/scope';
import { effect, reactive, stop, toRaw } from '@vue/reactivity';
import 'alpinejs/src/magics/$el';
import 'alpinejs/src/magics/$root';
import 'alpinejs/src/directives/x-bind';
import 'alpinejs/src/directives/x-data';
import 'alpinejs/src/directives/x-init';
import 'alpinejs/src/directives/x-on';
import 'alpinejs/src/directives/x-text';

const namesOnly = (el, said) => {
  const magics = {};
  injectMagics(magics, el);
  const stack = [magics, ...closestDataStack(el)];
  if (typeof said === 'function') return generateEvaluatorFromFunction(stack, said);
  return (receiver = () => {}, { scope = {}, params = [] } = {}) => {
    const members = mergeProxies([scope, ...stack]);
    if (!(said in members)) throw new Error(`There is no ${said} here`);
    runIfTypeOfFunction(receiver, members[said], members, params, el);
  };
};

// Starts the components by their names.
export function start(components) {
  // Its attributes are data of our own, so that a page is plain HTML.
  Alpine.prefix('data-x-');
  Alpine.setEvaluator(namesOnly);
  Alpine.setReactivityEngine({
    reactive,
    effect: (callback, options = {}) => {
      let runner = null;
      const again = () => (options.scheduler ? options.scheduler(runner) : runner());
      runner = effect(callback, { scheduler: () => runner && again() });
      return runner;
    },
    release: stop,
    raw: toRaw,
  });
  for (const [name, component] of Object.entries(components)) Alpine.data(name, component);
  Alpine.start();
}
