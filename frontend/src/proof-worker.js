import { sha256 } from '@noble/hashes/sha2.js';

// Answers a seal and a number of bits with the first number that, hashed with the seal, begins with so many zero bits.
// What every try begins with is hashed once, and the tries share their buffers: a telephone has little to spare.
onmessage = ({ data: { seal, bits } }) => {
  const begun = sha256.create().update(new TextEncoder().encode(`${seal}:`));
  const digits = new Uint8Array(16);
  const hash = new Uint8Array(32);
  let tried;
  for (let number = 0; ; number++) {
    const written = String(number);
    for (let i = 0; i < written.length; i++) {
      digits[i] = written.charCodeAt(i);
    }
    tried = begun._cloneInto(tried);
    tried.update(digits.subarray(0, written.length)).digestInto(hash);
    const first = ((hash[0] << 24) | (hash[1] << 16) | (hash[2] << 8) | hash[3]) >>> 0;
    if (first >>> (32 - bits) === 0) {
      postMessage(written);
      return;
    }
  }
};
