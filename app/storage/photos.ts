import type { SplitTapDatabase } from './database';

/** The bytes of photos; what is said of them stands in the records of their jobs. */
export class PhotoStore {
  constructor(private readonly db: SplitTapDatabase) {}

  /** Keeps a photo under an id of its own. Rejects where there is no room left. */
  async add(jobId: string, bytes: Uint8Array): Promise<string> {
    const id = crypto.randomUUID();
    await this.db.photos.put({ id, jobId, bytes });
    return id;
  }

  async replace(id: string, jobId: string, bytes: Uint8Array): Promise<void> {
    await this.db.photos.put({ id, jobId, bytes });
  }

  async bytes(id: string): Promise<Uint8Array | null> {
    const kept = await this.db.photos.get(id);
    return kept?.bytes instanceof Uint8Array ? kept.bytes : null;
  }

  async drop(ids: readonly string[]): Promise<void> {
    await this.db.photos.bulkDelete([...ids]);
  }
}
