import confirm from '@inquirer/confirm';
import { DataFault } from './fault.ts';

/**
 * Asks whoever sits at the terminal.
 * @param yes it was agreed to already, with --yes
 * @throws DataFault where nobody can be asked
 */
export async function agreeing(question: string, yes: boolean): Promise<boolean> {
  if (yes) return true;
  if (!process.stdin.isTTY)
    throw new DataFault(`${question} Nobody can be asked here: add --yes to agree. Nothing was changed.`);
  return confirm({ message: question, default: false }).catch(() => false);
}
