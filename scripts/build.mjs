// Builds the interface and bundles the server and the demo, each into its own dist folder.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { must, root } from './setUp.mjs';

const server = join(root, 'server/src');

/** Worker threads are files of their own, beside the program that starts them. */
const workers = ['season/placement.worker.ts', 'work/rota/rota.worker.ts', 'heavy/heavy.worker.ts'].map(
  (file) => join(server, file),
);

async function bundle(workspace, entryPoints) {
  const { build } = await import('esbuild');
  const manifests = ['core', 'contract', 'server', 'demo'].map((name) =>
    JSON.parse(readFileSync(join(root, name, 'package.json'), 'utf8')),
  );
  const packages = manifests.flatMap(({ dependencies = {} }) => Object.keys(dependencies));
  await build({
    entryPoints: [...entryPoints, ...workers],
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

export const bundleServer = () => bundle('server', [join(server, 'main.ts'), join(server, 'operator.ts')]);

export async function build() {
  must('npx', ['vite', 'build', '--logLevel', 'warn'], { cwd: join(root, 'web') });
  await bundleServer();
  await bundle('demo', [join(root, 'demo/src/main.ts')]);
}

if (process.argv[1] === import.meta.filename) await build();
