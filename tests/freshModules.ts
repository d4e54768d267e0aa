import { vi } from 'vitest';

// What a module remembers of one test's database is not for the next one's. Packages stay loaded.
vi.resetModules();
