import { execFileSync } from 'node:child_process';

/**
 * Mounts a small disk at a folder, where tests may do that.
 * @returns how to take it away; null where it cannot be mounted
 */
export function mountedDisk(at: string): (() => void) | null {
  try {
    execFileSync('mount', ['-t', 'tmpfs', '-o', 'size=6m', 'tmpfs', at], { stdio: 'ignore' });
    return () => execFileSync('umount', ['-l', at], { stdio: 'ignore' });
  } catch {
    return null;
  }
}
