/** A file system of a page's own, in memory: as far as films are kept in one. */
class FileHandle {
  readonly kind = 'file';
  private blob = new Blob([]);

  constructor(readonly name: string) {}

  getFile(): Promise<File> {
    return Promise.resolve(new File([this.blob], this.name));
  }

  createWritable() {
    const parts: Blob[] = [];
    return Promise.resolve({
      write: (what: Blob) => {
        if (PrivateFiles.isFull) return Promise.reject(new Error('QuotaExceededError'));
        parts.push(what);
        return Promise.resolve();
      },
      close: () => {
        this.blob = new Blob(parts);
        return Promise.resolve();
      },
    });
  }
}

class DirectoryHandle {
  readonly kind = 'directory';
  private readonly inside = new Map<string, DirectoryHandle | FileHandle>();

  constructor(readonly name: string) {}

  private found<Handle extends DirectoryHandle | FileHandle>(
    name: string,
    make: (() => Handle) | null,
  ): Promise<Handle> {
    const there = (this.inside.get(name) as Handle | undefined) ?? make?.();
    if (!there) return Promise.reject(new Error(`NotFoundError: ${name}`));
    this.inside.set(name, there);
    return Promise.resolve(there);
  }

  getDirectoryHandle(name: string, { create = false } = {}) {
    return this.found(name, create ? () => new DirectoryHandle(name) : null);
  }

  getFileHandle(name: string, { create = false } = {}) {
    return this.found(name, create ? () => new FileHandle(name) : null);
  }

  removeEntry(name: string): Promise<void> {
    this.inside.delete(name);
    return Promise.resolve();
  }

  async *keys() {
    yield* await Promise.resolve([...this.inside.keys()]);
  }

  async *values() {
    yield* await Promise.resolve([...this.inside.values()]);
  }
}

/** The page's own files, and how much room there is for them. */
export class PrivateFiles {
  /** Nothing more can be written. */
  static isFull = false;
  private static root = new DirectoryHandle('');
  private static quota = Infinity;

  /** Begins anew, with so much room. */
  static clear(quota = 1e9): void {
    this.root = new DirectoryHandle('');
    this.quota = quota;
    this.isFull = false;
  }

  static install(): void {
    const storage = {
      getDirectory: () => Promise.resolve(this.root),
      estimate: () => Promise.resolve({ quota: this.quota, usage: 0 }),
    };
    Object.defineProperty(globalThis, 'navigator', { value: { storage }, configurable: true });
    Object.assign(globalThis, { FileSystemDirectoryHandle: DirectoryHandle });
  }
}
