/** Storage as long as the page, where a browser keeps none. */
export { indexedDB, IDBKeyRange } from 'fake-indexeddb';
