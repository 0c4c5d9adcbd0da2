import { useEffect, useRef, useState } from 'react';
import { useAsk } from '../parts/useAsk';
import type { IntakeProps, LineProps, PreviewProps } from '../types/generated/props';
import type { Values } from './values';

/** A line that was filled in: the form as it was then, and the question that its answer was given to. */
interface Filled {
    reading: LineProps;
    data: string;
    question: object | null;
}

/**
 * What a label means while it is typed, field by field or as a line: one question and one answer for both. The answer to a
 * line fills the form, and says what the label means with the line filled in, so that nothing is asked twice.
 *
 * @param values the form as it was loaded, to which a field goes back when the line no longer tells it
 * @param isAsking whether there is anything to ask about
 */
export function useLabelLine(
    line: string,
    data: Values,
    values: IntakeProps,
    setData: (data: Values) => void,
    isAsking: boolean,
    card: string | null,
): { reading: LineProps | null; preview: PreviewProps | null } {
    const [filled, setFilled] = useState<Filled | null>(null);
    const isEmpty = line.trim() === '';
    const pending = !isEmpty && filled?.reading.line !== line ? line : null;
    const stands = filled !== null && JSON.stringify(data) === filled.data;
    const question =
        pending === null && stands
            ? filled.question
            : isAsking || pending !== null
              ? { ...data, card, line: pending }
              : null;
    const preview = useAsk('/intake/preview', question);
    const now = useRef({ data, filled, question });
    useEffect(() => {
        now.current = { data, filled, question };
    });
    const reading = preview?.line ?? null;
    useEffect(() => {
        const before = now.current;
        if (reading === null || reading === before.filled?.reading || reading.line !== line) {
            return;
        }
        // What was read before may have been corrected since: a line that is kept fills nothing in.
        const isKept = before.filled === null && line === values.label_line;
        const next = isKept ? before.data : fill(reading, before.filled?.reading ?? null, before.data, values);
        setFilled({ reading, data: JSON.stringify(next), question: before.question });
        setData(next);
    }, [reading, line, values, setData]);
    return { reading: isEmpty ? null : (filled?.reading ?? null), preview };
}

/** Puts what was read into the form, over what was read before; fields that no line told stay as they are. */
function fill(reading: LineProps, before: LineProps | null, data: Values, values: IntakeProps): Values {
    const next = { ...data };
    for (const entry of before?.fields ?? []) {
        const field = entry.field as keyof IntakeProps;
        next[field] = data[field] === entry.value ? values[field] : data[field];
    }
    for (const entry of reading.fields) {
        next[entry.field as keyof IntakeProps] = entry.value;
    }
    next.marks = reading.marks.length > 0 ? reading.marks : data.marks;
    const words = reading.unknown.join(' ');
    // Words that are no standard’s are most often the maker’s; only an untouched name is filled with them.
    if (/\p{L}/u.test(words) && (data.name === '' || data.name === before?.unknown.join(' '))) {
        next.name = words;
    }
    return next;
}
