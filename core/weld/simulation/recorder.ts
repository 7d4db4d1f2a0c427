/** Takes down what happens while the arc runs: sums for the metrics, events with their moments, and a decimated trace. Grows no memory in the loop. */

/** Events beyond this in one run are counted but not kept; 4000 a second is more than any arc makes. */
const eventsKept = 8192;

export class Recorder {
  /** Sums start here; what comes before is settling. */
  measureFromS = 0;
  measuredS = 0;
  chargeAs = 0;
  squareA2s = 0;
  voltSeconds = 0;
  energyJ = 0;
  arcMmS = 0;
  arcLitS = 0;
  minArcMm = Number.POSITIVE_INFINITY;
  maxArcMm = 0;
  extensionMmS = 0;
  minExtensionMm = Number.POSITIVE_INFINITY;
  firstExtensionMm = Number.NaN;
  lastExtensionMm = 0;
  drops = 0;
  dropMm3 = 0;
  shorts = 0;
  shortS = 0;
  shortS2 = 0;
  /** Time between shorts: sums over the gaps after the first. */
  betweenS = 0;
  betweenS2 = 0;
  lastShortEndS = Number.NaN;
  /** Metal bent away or burst off, mm³. */
  lostMm3 = 0;
  ruptureA2 = 0;
  pulses = 0;
  pulsesAtStart = 0;
  extinctions = 0;
  buckles = 0;
  touches = 0;
  /** Most wire pushed against the plate before a contact fused, mm. */
  pushedMm = 0;
  atTipS = 0;
  /** Moment the arc first burned, or −1. */
  litS = -1;
  readonly dropAtS = new Float64Array(eventsKept);
  readonly shortAtS = new Float64Array(eventsKept);

  readonly traceTimeS: Float64Array;
  readonly traceCurrentA: Float32Array;
  readonly traceVoltageV: Float32Array;
  readonly traceArcMm: Float32Array;
  readonly traceExtensionMm: Float32Array;
  readonly traceDropMm3: Float32Array;
  readonly traceGapMm: Float32Array;
  readonly traceContact: Uint8Array;
  traceLength = 0;
  readonly traceEveryS: number;

  /** `traceEveryS` zero keeps no trace. */
  constructor(seconds: number, traceEveryS: number) {
    const length = traceEveryS > 0 ? Math.ceil(seconds / traceEveryS) + 2 : 0;
    this.traceEveryS = traceEveryS;
    this.traceTimeS = new Float64Array(length);
    this.traceCurrentA = new Float32Array(length);
    this.traceVoltageV = new Float32Array(length);
    this.traceArcMm = new Float32Array(length);
    this.traceExtensionMm = new Float32Array(length);
    this.traceDropMm3 = new Float32Array(length);
    this.traceGapMm = new Float32Array(length);
    this.traceContact = new Uint8Array(length);
  }

  trace(
    t: number,
    i: number,
    u: number,
    arcMm: number,
    extensionMm: number,
    dropMm3: number,
    gapMm: number,
    touch: number,
  ): void {
    if (this.traceLength >= this.traceTimeS.length) return;
    const at = this.traceLength++;
    this.traceTimeS[at] = t;
    this.traceCurrentA[at] = i;
    this.traceVoltageV[at] = u;
    this.traceArcMm[at] = arcMm;
    this.traceExtensionMm[at] = extensionMm;
    this.traceDropMm3[at] = dropMm3;
    this.traceGapMm[at] = gapMm;
    this.traceContact[at] = touch;
  }

  drop(t: number, volumeMm3: number): void {
    if (this.drops < eventsKept) this.dropAtS[this.drops] = t;
    this.drops++;
    this.dropMm3 += volumeMm3;
  }

  /** A short that ended, with what went over in it. */
  short(t: number, lastedS: number, i: number, volumeMm3: number): void {
    if (this.shorts < eventsKept) this.shortAtS[this.shorts] = t - lastedS;
    this.shorts++;
    this.shortS += lastedS;
    this.shortS2 += lastedS * lastedS;
    if (!Number.isNaN(this.lastShortEndS)) {
      const between = t - lastedS - this.lastShortEndS;
      this.betweenS += between;
      this.betweenS2 += between * between;
    }
    this.lastShortEndS = t;
    this.ruptureA2 += i * i;
    this.drop(t, volumeMm3);
  }

  /** Another recorder that goes on from here. */
  copy(): Recorder {
    const twin = new Recorder(0, this.traceEveryS);
    for (const [name, value] of Object.entries(this)) {
      Object.assign(twin, { [name]: ArrayBuffer.isView(value) ? (value as Float64Array).slice() : (value as unknown) });
    }
    return twin;
  }
}
