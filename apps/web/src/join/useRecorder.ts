import { useCallback, useEffect, useRef, useState } from 'react';

/** Why there is no camera: the page is not secure, access was denied, or there is none. */
export type NoCamera = 'not secure' | 'not allowed' | 'none';

/** Records from this device's camera. */
export interface Recorder {
  readonly stream: MediaStream | null;
  readonly problem: NoCamera | null;
  readonly isOn: boolean;
  /** Starts recording; pieces are delivered continuously. */
  readonly start: (onPiece: (piece: Blob) => void) => void;
  /** Resolves when the last piece has been delivered. */
  readonly stop: () => Promise<void>;
  /** The films' MIME type. */
  readonly kind: string;
}

/** Interval between pieces, which bounds what is lost if the page dies, ms. */
const PIECE_MS = 1000;
const KINDS = ['video/webm;codecs=vp8,opus', 'video/webm', 'video/mp4'];
const kindHere = (): string =>
  KINDS.find((kind) => 'MediaRecorder' in window && MediaRecorder.isTypeSupported(kind)) ??
  'video/webm';

/** Opens the rear camera, with the microphone, which has to hear the cues. */
export function useRecorder(): Recorder {
  const [stream, setStream] = useState<MediaStream | null>(null);
  // Insecure pages have no media devices, whatever the types say.
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
        // Noise processing for calls would remove what tells cues apart.
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
      // The recorder stops by itself if the camera is taken away; stopping it later must not wait for ever.
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
