import vm from 'node:vm';
import { TestEnvironment } from 'jest-environment-node';

/**
 * The test runner's own environment on a plain global object, where the platform makes one (20.18 on). By itself the runner
 * watches its global object, so that every `Math`, `Map` or `Object` in a test takes 200 times as long as outside of it.
 */
export default class extends TestEnvironment {
  constructor(...given) {
    const { createContext } = vm;
    vm.createContext = (watched) => createContext(vm.constants?.DONT_CONTEXTIFY ?? watched);
    try {
      super(...given);
    } finally {
      vm.createContext = createContext;
    }
  }
}
