/** Does something in a browser that keeps nothing, and says so by throwing. */
export async function withoutStorage(does: () => Promise<void>): Promise<void> {
  const real = globalThis.indexedDB;
  const refuses = {
    open: () => {
      throw new DOMException('no', 'SecurityError');
    },
  };
  Object.defineProperty(globalThis, 'indexedDB', { configurable: true, value: refuses });
  try {
    await does();
  } finally {
    Object.defineProperty(globalThis, 'indexedDB', { configurable: true, value: real });
  }
}

/** Does something while the browser has no room for anything more. */
export async function withFullStorage(does: () => Promise<void>): Promise<void> {
  const { put } = IDBObjectStore.prototype;
  IDBObjectStore.prototype.put = () => {
    throw new DOMException('full', 'QuotaExceededError');
  };
  try {
    await does();
  } finally {
    IDBObjectStore.prototype.put = put;
  }
}
