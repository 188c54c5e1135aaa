// Words of two made-up languages, for the tests: `xa` is accented and half as long again, so that whatever is cut off or was never in a catalogue
// shows; `xb` runs from right to left.
const accented = Object.fromEntries(
  [..."aáeéiíoóuúyýcçnñsšzžAÁEÉIÍOÓUÚYÝCÇNÑSŠZŽ"].flatMap((c, i, all) => (i % 2 ? [] : [[c, all[i + 1]]])),
);
const rightToLeft = { from: "\u202e", to: "\u202c" };

/**
 * @param {string} language xa or xb
 * @param {string} text in English
 * @param {RegExp} figures what is put in later and stays as it is; one group
 */
export function madeUp(language, text, figures) {
  const worded = text.split(figures).map((part, i) => {
    if (i % 2) return part;
    if (language === "xb") return part.replaceAll(/\p{L}+/gu, (word) => rightToLeft.from + word + rightToLeft.to);
    return part
      .replaceAll(/\p{L}/gu, (c) => accented[c] ?? c)
      .replaceAll(/\p{L}{4,}/gu, (word) => word + word.slice(-Math.ceil(word.length / 2)));
  });
  return worded.join("");
}
