import { useCallback, useEffect, useRef, useState } from 'react';

/** Why there is no picture: the page is not secure, it was not allowed, or there is no camera. */
export type NoCamera = 'not secure' | 'not allowed' | 'none';

/** A camera of this device, recorded from one moment to another. */
export interface Recorder {
  readonly stream: MediaStream | null;
  readonly problem: NoCamera | null;
  readonly isOn: boolean;
  /** Each piece is handed over as soon as there is one. */
  readonly start: (onPiece: (piece: Blob) => void) => void;
  /** Done when the last piece was handed over. */
  readonly stop: () => Promise<void>;
  /** What films are kept as. */
  readonly kind: string;
}

/** Pieces are handed over so often: what was recorded is in them if the page dies, ms. */
const PIECE_MS = 1000;
const KINDS = ['video/webm;codecs=vp8,opus', 'video/webm', 'video/mp4'];
const kindHere = (): string =>
  KINDS.find((kind) => 'MediaRecorder' in window && MediaRecorder.isTypeSupported(kind)) ??
  'video/webm';

/** Opens the camera that looks away from the screen, with its microphone: it must hear the cues. */
export function useRecorder(): Recorder {
  const [stream, setStream] = useState<MediaStream | null>(null);
  // Pages that are not secure have no cameras at all, whatever the types say.
  const devices = navigator.mediaDevices as MediaDevices | undefined;
  const [refused, setRefused] = useState<NoCamera | null>(null);
  const [isOn, setOn] = useState(false);
  const recording = useRef<{
    recorder: MediaRecorder;
    stopped: Promise<unknown>;
  } | null>(null);
  useEffect(() => {
    if (!devices) return;
    let own: MediaStream | null = null;
    let isLeft = false;
    devices
      .getUserMedia({
        video: { facingMode: 'environment', width: { ideal: 1280 }, frameRate: { ideal: 60 } },
        // What a call wants taken out is what tells the cues from each other.
        audio: { echoCancellation: false, noiseSuppression: false, autoGainControl: false },
      })
      .then(
        (opened) => {
          own = opened;
          if (isLeft) for (const track of opened.getTracks()) track.stop();
          else setStream(opened);
        },
        (error: unknown) =>
          setRefused(
            error instanceof DOMException && error.name === 'NotAllowedError'
              ? 'not allowed'
              : 'none',
          ),
      );
    return () => {
      isLeft = true;
      for (const track of own?.getTracks() ?? []) track.stop();
    };
  }, [devices]);
  const [kind] = useState(kindHere);
  const start = useCallback(
    (onPiece: (piece: Blob) => void) => {
      if (!stream || recording.current) return;
      const recorder = new MediaRecorder(stream, { mimeType: kind });
      recorder.ondataavailable = ({ data }) => {
        if (data.size > 0) onPiece(data);
      };
      // It stops by itself when its camera is taken away: whoever stops it then must not wait for ever.
      const stopped = new Promise((done) => recorder.addEventListener('stop', done));
      recorder.start(PIECE_MS);
      recording.current = { recorder, stopped };
      setOn(true);
    },
    [stream, kind],
  );
  const stop = useCallback(async () => {
    const now = recording.current;
    recording.current = null;
    setOn(false);
    if (!now) return;
    if (now.recorder.state !== 'inactive') now.recorder.stop();
    await now.stopped;
  }, []);
  return { stream, problem: devices ? refused : 'not secure', isOn, start, stop, kind };
}
