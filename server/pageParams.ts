import { notFound } from 'next/navigation';
import { idSchema } from './http';

/** The id in a page's address; what is none leads to "nothing here". */
export async function pageId(params: Promise<{ id: string }>): Promise<string> {
  const { id } = await params;
  try {
    const read = idSchema.safeParse(decodeURIComponent(id));
    if (read.success) return read.data;
  } catch {
    /* no id */
  }
  return notFound();
}
