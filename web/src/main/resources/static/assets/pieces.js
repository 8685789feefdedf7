// Gathers what the microphone hears into pieces that are worth sending: 2048 samples, a twentieth of a second.
const PIECE = 2048;

class Pieces extends AudioWorkletProcessor {
  constructor() {
    super();
    this.piece = new Float32Array(PIECE);
    this.filled = 0;
  }

  process([input]) {
    const heard = input[0];
    if (!heard) return true;
    for (let at = 0; at < heard.length; ) {
      const taken = heard.subarray(at, at + PIECE - this.filled);
      this.piece.set(taken, this.filled);
      this.filled += taken.length;
      at += taken.length;
      if (this.filled === PIECE) {
        this.port.postMessage(this.piece.buffer, [this.piece.buffer]);
        this.piece = new Float32Array(PIECE);
        this.filled = 0;
      }
    }
    return true;
  }
}

registerProcessor("pieces", Pieces);
