import type { ButtonHTMLAttributes } from 'react';

type Look = 'action' | 'plain' | 'quiet' | 'danger';

const LOOKS: Record<Look, string> = {
  action: 'border-action bg-action text-white hover:bg-action-hover hover:border-action-hover',
  plain: 'border-rule bg-white hover:bg-canvas',
  quiet: 'border-transparent bg-transparent hover:bg-canvas',
  danger: 'border-madder bg-white text-madder hover:bg-madder-wash',
};

export const buttonClass = (look: Look = 'plain', small = false): string =>
  `inline-flex items-center justify-center gap-1.5 whitespace-nowrap rounded-sm border font-semibold [&>svg]:shrink-0 pointer-coarse:min-h-11 pointer-coarse:min-w-11 ${small ? 'min-h-7 px-2 text-sm' : 'min-h-[30px] px-3 py-1'} ${LOOKS[look]} disabled:border-rule disabled:bg-canvas disabled:text-quiet`;

export function Button({
  look = 'plain',
  small = false,
  className = '',
  type = 'button',
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & { look?: Look; small?: boolean }) {
  return <button type={type} className={`${buttonClass(look, small)} ${className}`} {...rest} />;
}
