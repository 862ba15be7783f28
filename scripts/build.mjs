// Builds the interface and bundles the server and the demo, each into its own dist folder.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { must, root } from './setUp.mjs';

export async function build() {
  must('npx', ['vite', 'build', '--logLevel', 'warn'], { cwd: join(root, 'web') });
  const { build: bundle } = await import('esbuild');
  for (const workspace of ['server', 'demo']) {
    const manifests = ['core', 'contract', 'server', 'demo'].map((name) =>
      JSON.parse(readFileSync(join(root, name, 'package.json'), 'utf8')),
    );
    const packages = manifests.flatMap(({ dependencies = {} }) => Object.keys(dependencies));
    await bundle({
      // Worker threads are files of their own, beside the program that starts them.
      entryPoints: [
        join(root, workspace, 'src/main.ts'),
        join(root, 'server/src/season/placement.worker.ts'),
        join(root, 'server/src/work/rota.worker.ts'),
      ],
      outdir: join(root, workspace, 'dist'),
      entryNames: '[name]',
      bundle: true,
      platform: 'node',
      format: 'esm',
      target: 'node20',
      sourcemap: true,
      keepNames: true,
      logLevel: 'warning',
      external: packages.filter((name) => !name.startsWith('@unity-acre/')),
    });
  }
}

if (process.argv[1] === import.meta.filename) await build();
