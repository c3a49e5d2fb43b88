/** Kept once this browser has a store: what the build has drawn may not be how things are here. */
export const BEEN = 'been here';

/** The version of the program, by a file of the build whose name holds all others; noted as long as the page has it. */
const BUILD_FILE = 'link[rel=modulepreload][href*="/manifest-"]';
export const buildNow = (): string | undefined => document.documentElement.dataset['build'];

/*
 * Two scripts run long before the program. They read the store by the browser's own means, make none where there is none,
 * and leave everything as it is where anything is in the way.
 */

/**
 * Before anything is drawn: looks for what stood last at this address, and whether all that it hangs on is stored as it was
 * then and nothing tapped waits to be carried out.
 */
export const lookScript = `
globalThis.stoodLast = document.documentElement.dataset.been && new Promise(function (found) {
  var open = indexedDB.open('split-tap');
  open.onupgradeneeded = function () { open.transaction.abort(); };
  open.onsuccess = function () {
    var db = open.result;
    db.onversionchange = function () { db.close(); };
    if (!db.objectStoreNames.contains('standing')) return db.close();
    var tx = db.transaction(Array.from(db.objectStoreNames));
    tx.oncomplete = tx.onabort = function () { db.close(); };
    tx.objectStore('standing').get(location.pathname + location.search).onsuccess = function (event) {
      var kept = event.target.result;
      if (!kept) return;
      var left = kept.marks.length + kept.counts.length;
      var fits = function (same) { if (same && --left === 0) found(kept); };
      kept.marks.forEach(function (mark) {
        tx.objectStore(mark[0]).get(mark[1]).onsuccess = function (event) {
          fits(JSON.stringify((event.target.result || {})[mark[2]]) === mark[3]);
        };
      });
      kept.counts.forEach(function (count) {
        var store = tx.objectStore(count[0]);
        var all = count[1] === null ? store.count() : store.index(count[1]).count(count[2]);
        all.onsuccess = function (event) { fits(event.target.result === count[3]); };
      });
    };
  };
});
`;

/**
 * As soon as the page stands: takes away what the build has drawn of a plain address where more is asked for; puts what was found in its place, unless another version of the program has drawn it.
 */
export const earlyScript = `
(function () {
  var plain = document.querySelector('[data-plain]');
  if (plain && location.search) plain.remove();
  var place = document.querySelector('[data-standing]');
  var build = document.querySelector('${BUILD_FILE}');
  var root = document.documentElement.dataset;
  if (build) root.build = build.getAttribute('href');
  if (place && build && globalThis.stoodLast) stoodLast.then(function (kept) {
    if (kept.build === root.build && place.isConnected) place.innerHTML = kept.html;
  }, function () {});
})();
`;
