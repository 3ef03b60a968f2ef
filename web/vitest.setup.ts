import 'reflect-metadata';
import { afterEach } from 'vitest';

// Only where there is a document is there anything to clean up.
if (typeof document !== 'undefined') {
  const { cleanup } = await import('@testing-library/react');
  afterEach(cleanup);
}
