import { StartProblem } from './folder.ts';
import { isDamage } from './studios.ts';

interface Where {
  readonly port: number;
  readonly data: string;
}

/** Why the program does not start, in one sentence that says what to do. */
export function startProblem(error: unknown, { port, data }: Where): string {
  const { code = '', message } = error as { code?: string; message?: string };
  if (error instanceof StartProblem) return error.message;
  if (code === 'EADDRINUSE') return `Port ${port} is taken. Choose another: MYOKINET_PORT=${port + 1}.`;
  if (code === 'EACCES' && message?.includes('listen'))
    return `Port ${port} may not be used by this user. Choose one above 1023: MYOKINET_PORT.`;
  if (code === 'ENOSPC' || code === 'SQLITE_FULL')
    return `There is no space left on the disk that holds ${data}. Make room and start again.`;
  if (['EACCES', 'EPERM', 'EROFS', 'SQLITE_CANTOPEN'].includes(code) || code.startsWith('SQLITE_READONLY'))
    return `The data in ${data} cannot be written by this user. Change who owns it, or name another folder: MYOKINET_DATA.`;
  if (isDamage(error)) return `A file in ${data} is damaged. Bring back the newest good copy: npm run restore.`;
  return message ?? String(error);
}
