/** An MP3 of silence: frames of MPEG-1 layer III, 128 kbit/s at 44.1 kHz, each of 1,152 samples that are nought. */
export function silence(frames: number): Uint8Array<ArrayBuffer> {
  const out = new Uint8Array(frames * FRAME)
  for (let i = 0; i < frames; i++) out.set([0xff, 0xfb, 0x90, 0x64], i * FRAME)
  return out
}
/** Bytes: 144 times the bit rate by the sampling rate. */
const FRAME = 417
/** Seconds that a frame plays. */
export const FRAME_SECONDS = 1152 / 44100
