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
        if (disk.isFull) return Promise.reject(new Error('QuotaExceededError'));
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

const disk = { root: new DirectoryHandle(''), quota: Infinity, isFull: false };

/** The page's own files, and how much room there is for them. */
export const privateFiles = {
  /** Whether anything more can be written. */
  fill: (isFull: boolean) => {
    disk.isFull = isFull;
  },
  /** Begins anew, with so much room, bytes. */
  clear: (quota = 1e9) =>
    Object.assign(disk, { root: new DirectoryHandle(''), quota, isFull: false }),
  install: () => {
    const storage = {
      getDirectory: () => Promise.resolve(disk.root),
      estimate: () => Promise.resolve({ quota: disk.quota, usage: 0 }),
    };
    Object.defineProperty(globalThis, 'navigator', { value: { storage }, configurable: true });
    Object.assign(globalThis, { FileSystemDirectoryHandle: DirectoryHandle });
  },
};
