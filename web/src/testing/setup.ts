import { cleanup, configure } from '@testing-library/react';
import { afterEach, beforeAll } from 'vitest';
import { cropsAreThere } from '../crops/catalogue.ts';
import { startWords } from '../words/index.ts';

// What Radix asks of a browser and happy-dom does not have.
Element.prototype.hasPointerCapture ??= () => false;
Element.prototype.setPointerCapture ??= () => undefined;
Element.prototype.releasePointerCapture ??= () => undefined;
Element.prototype.scrollIntoView ??= () => undefined;

// What is fetched late takes long on a machine that is shared.
configure({ asyncUtilTimeout: 20_000 });

beforeAll(() => Promise.all([startWords(), cropsAreThere()]));
afterEach(() => {
  cleanup();
  sessionStorage.clear();
});
