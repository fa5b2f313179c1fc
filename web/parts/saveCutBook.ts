import type { Work } from '../../core/cut';
import { saveFile } from './saveFile';

/** Writes the cut book and hands it to the gardener; the writer of PDF files is fetched only now. */
export async function saveCutBook(
  work: Pick<Work, 'garden' | 'cuts' | 'sheets' | 'rolls'>,
  title: string,
): Promise<void> {
  const { cutBook } = await import('../../core/show/cutBook');
  saveFile(`${title} cut book.pdf`, 'application/pdf', new Uint8Array(await cutBook(work, title)));
}
