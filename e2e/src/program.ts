import { type ChildProcess, spawn } from 'node:child_process';
import { join } from 'node:path';

const root = join(import.meta.dirname, '../..');

/** The built program, running as anybody would start it. */
export class Program {
  private constructor(
    readonly url: string,
    private readonly child: ChildProcess,
  ) {}

  /** @param main the built file to start: the server's, or the demo's */
  static async start(main: 'server' | 'demo', dataDir: string, port = 0): Promise<Program> {
    const child = spawn(process.execPath, [join(root, main, 'dist/main.js')], {
      cwd: root,
      env: {
        ...process.env,
        PORT: String(port),
        HOST: '127.0.0.1',
        DATA_DIR: dataDir,
        NODE_ENV: 'production',
      },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    const url = await new Promise<string>((resolve, reject) => {
      let said = '';
      child.stdout!.on('data', (data) => {
        said += data;
        const found = /at (http:\/\/127\.0\.0\.1:\d+)/.exec(said);
        if (found) resolve(found[1]!);
      });
      child.on('exit', (code) => reject(new Error(`ended with ${code}: ${said}`)));
    });
    return new Program(url, child);
  }

  get port(): number {
    return Number(new URL(this.url).port);
  }

  /** Stops as Ctrl-C does. @returns the exit code */
  stop(): Promise<number | null> {
    if (this.child.exitCode !== null || this.child.signalCode !== null)
      return Promise.resolve(this.child.exitCode);
    const ended = new Promise<number | null>((resolve) => this.child.on('exit', resolve));
    this.child.kill('SIGINT');
    return ended;
  }
}
