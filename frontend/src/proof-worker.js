import { sha256 } from '@noble/hashes/sha2.js';

// Answers a seal and a number of bits with the first number that, hashed with the seal, begins with so many zero bits.
onmessage = ({ data: { seal, bits } }) => {
  const write = new TextEncoder();
  for (let number = 0; ; number++) {
    const hash = sha256(write.encode(`${seal}:${number}`));
    const first = ((hash[0] << 24) | (hash[1] << 16) | (hash[2] << 8) | hash[3]) >>> 0;
    if (first >>> (32 - bits) === 0) {
      postMessage(String(number));
      return;
    }
  }
};
