import { Button } from 'antd';
import { useEffect, useRef, useState } from 'react';
import WaveSurfer from 'wavesurfer.js';
import { clock } from '../call/clock';
import { stop } from './player';

/** How a sound goes, with a playhead: drawn once it is looked at. */
export function Waveform({ source, label }: { source: string; label: string }) {
    const box = useRef<HTMLDivElement>(null);
    const surfer = useRef<WaveSurfer | undefined>(undefined);
    const [isOn, setIsOn] = useState(false);
    const [at, setAt] = useState(0);
    const [seconds, setSeconds] = useState(0);
    useEffect(() => {
        if (!box.current) return;
        const ink = getComputedStyle(document.documentElement);
        const wave = WaveSurfer.create({
            container: box.current,
            url: source,
            height: 44,
            barWidth: 2,
            barGap: 1,
            normalize: true,
            waveColor: ink.getPropertyValue('--quiet'),
            progressColor: ink.getPropertyValue('--course'),
            cursorColor: ink.getPropertyValue('--course'),
            mediaControls: false,
            dragToSeek: true,
        });
        wave.on('ready', setSeconds);
        wave.on('timeupdate', setAt);
        wave.on('play', () => setIsOn(true));
        wave.on('pause', () => setIsOn(false));
        surfer.current = wave;
        return () => wave.destroy();
    }, [source]);
    return (
        <figure className="waveform" aria-label={label}>
            <Button
                size="small"
                onClick={() => {
                    stop();
                    void surfer.current?.playPause();
                }}
                aria-label={isOn ? `Pause: ${label}` : `Play: ${label}`}
            >
                {isOn ? 'Pause' : 'Play'}
            </Button>
            <div ref={box} aria-hidden="true" />
            <figcaption className="figures quiet">
                {clock(Math.floor(at))} of {seconds.toFixed(1)} s
            </figcaption>
        </figure>
    );
}
