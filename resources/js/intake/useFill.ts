import { useEffect, useRef } from 'react';
import type { IntakeProps, LineProps } from '../types/generated/props';
import type { Values } from './values';

/** Puts what was read from the line into the form, over what was read before; fields the line says nothing of stay as they are. */
export function useFill(
    reading: LineProps | null,
    values: IntakeProps,
    setData: (fill: (before: Values) => Values) => void,
) {
    const last = useRef<LineProps | null>(null);
    useEffect(() => {
        const filled = last.current;
        if (reading === null || reading === filled) {
            return;
        }
        last.current = reading;
        setData((before) => {
            const next = { ...before };
            for (const entry of filled?.fields ?? []) {
                const field = entry.field as keyof IntakeProps;
                next[field] = before[field] === entry.value ? values[field] : before[field];
            }
            for (const entry of reading.fields) {
                next[entry.field as keyof IntakeProps] = entry.value;
            }
            next.marks = reading.marks.length > 0 ? reading.marks : before.marks;
            const words = reading.unknown.join(' ');
            // Words that are no standard’s are most often the maker’s; only an untouched name is filled with them.
            if (/\p{L}/u.test(words) && (before.name === '' || before.name === filled?.unknown.join(' '))) {
                next.name = words;
            }
            return next;
        });
    }, [reading, values, setData]);
}
