import { defineConfig } from 'vitest/config';

export default defineConfig({
  define: { __VERSION__: JSON.stringify('tested') },
  test: { include: ['tests/Web/**/*.test.ts'], setupFiles: ['tests/Web/device.ts'], environment: 'node', testTimeout: 30_000 },
});
