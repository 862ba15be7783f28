import type { ButtonHTMLAttributes } from 'react';
import { Link, type LinkProps } from 'react-router';

const looks = {
  /** the one thing to do here */
  act: 'bg-blossom text-on-blossom hover:bg-blossom-deep font-semibold px-4',
  plain: 'border border-line-strong bg-paper hover:bg-straw-soft px-3',
  quiet: 'underline underline-offset-4 decoration-line-strong hover:decoration-ink px-1.5',
  danger: 'border border-beet text-beet hover:bg-beet-soft px-3',
} as const;

type Look = keyof typeof looks;

const shape =
  'print:hidden inline-flex min-h-target items-center justify-center gap-1.5 rounded-sm py-1 disabled:cursor-not-allowed disabled:opacity-50';

export function Button({
  look = 'plain',
  className = '',
  type = 'button',
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & { look?: Look }) {
  return <button type={type} className={`${shape} ${looks[look]} ${className}`} {...rest} />;
}

/** A link where a button would stand: it leads to where the thing is done. */
export function ButtonLink({ look = 'plain', className = '', ...rest }: LinkProps & { look?: Look }) {
  return <Link className={`${shape} ${looks[look]} ${className}`} {...rest} />;
}
