'use client';
import { useEffect, useState, type RefObject } from 'react';

/** `none`: there is no camera, or the person did not allow it. */
export type CameraState = 'asking' | 'live' | 'none';

/** Shows what the camera behind sees in a video element for as long as that is on the screen. */
export function useCamera(video: RefObject<HTMLVideoElement | null>, width = 1600): CameraState {
  const [state, setState] = useState<CameraState>('asking');
  useEffect(() => {
    let stream: MediaStream | null = null;
    let wanted = true;
    const devices = (navigator as { mediaDevices?: MediaDevices }).mediaDevices;
    const asked = devices?.getUserMedia?.({ video: { facingMode: 'environment', width: { ideal: width } } }) ?? Promise.reject(new Error());
    asked.then(
      (given) => {
        if (!wanted) return given.getTracks().forEach((t) => t.stop());
        stream = given;
        if (video.current) video.current.srcObject = given;
        setState('live');
      },
      () => wanted && setState('none'),
    );
    return () => {
      wanted = false;
      stream?.getTracks().forEach((t) => t.stop());
    };
  }, [video, width]);
  return state;
}
