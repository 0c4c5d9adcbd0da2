import { useLayoutEffect, useRef, useState, type RefObject } from 'react';

/** The width of an element in pixels, kept up to date, for pictures that are drawn to fit. */
export function useWidth<T extends HTMLElement>(fallback: number): [RefObject<T | null>, number] {
    const ref = useRef<T>(null);
    const [width, setWidth] = useState(fallback);
    useLayoutEffect(() => {
        const element = ref.current;
        if (element === null) {
            return undefined;
        }
        const measure = () => {
            setWidth(Math.max(280, Math.floor(element.clientWidth)));
        };
        measure();
        const observer = new ResizeObserver(measure);
        observer.observe(element);
        return () => {
            observer.disconnect();
        };
    }, []);
    return [ref, width];
}
