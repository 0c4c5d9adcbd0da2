import { parseDate, parseDateTime, type CalendarDate, type CalendarDateTime } from '@internationalized/date';
import { DateField, DateInput, DateSegment, Input, Label, NumberField } from 'react-aria-components';
import styled from 'styled-components';
import { box, field, figures, Under, type FieldProps } from './fields';

interface Typed extends FieldProps {
    /** As it is sent: empty for nothing. */
    value: string;
    onChange: (value: string) => void;
    name: string;
}

const CountLook = styled(NumberField)`
    ${field}
    input {
        ${box}
        ${figures}
    }
`;

/** How many: digits only, as one's own country writes them; the arrow keys count. */
export function CountField({
    label,
    error,
    hint,
    value,
    onChange,
    name,
    placeholder = '',
}: Typed & { placeholder?: string }) {
    return (
        <CountLook
            value={value === '' ? NaN : Number(value)}
            onChange={(count) => {
                onChange(Number.isNaN(count) ? '' : String(count));
            }}
            name={name}
            minValue={0}
            formatOptions={{ useGrouping: false, maximumFractionDigits: 3 }}
            isInvalid={error !== undefined}
        >
            <Label>{label}</Label>
            <Input placeholder={placeholder} autoComplete="off" />
            <Under error={error} hint={hint} />
        </CountLook>
    );
}

const DayLook = styled(DateField)`
    ${field}
    .react-aria-DateInput {
        ${box}
        ${figures}
        display: flex;
        white-space: pre;
        font-size: 12.5px;
        letter-spacing: -0.02em;
        cursor: text;
    }
    .react-aria-DateSegment {
        outline: none;
        &[data-placeholder] {
            color: var(--pencil);
        }
        &[data-focused] {
            background: var(--ink);
            color: var(--sheet);
        }
    }
` as typeof DateField;

function read(value: string, withTime: boolean): CalendarDate | CalendarDateTime | null {
    try {
        return withTime ? parseDateTime(value.trim().replace(' ', 'T')) : parseDate(value.trim());
    } catch {
        return null;
    }
}

/** A day, or a moment, piece by piece in the order of one's own country; sent as 2026-11-27, or 2026-11-27 21:58. */
export function DayField({
    label,
    error,
    hint,
    value,
    onChange,
    name,
    withTime = false,
}: Typed & { withTime?: boolean }) {
    return (
        <DayLook
            value={read(value, withTime)}
            onChange={(day) => {
                onChange(day === null ? '' : day.toString().slice(0, 16).replace('T', ' '));
            }}
            name={name}
            granularity={withTime ? 'minute' : 'day'}
            hourCycle={24}
            shouldForceLeadingZeros
            isInvalid={error !== undefined}
        >
            <Label>{label}</Label>
            <DateInput>{(segment) => <DateSegment segment={segment} />}</DateInput>
            <Under error={error} hint={hint} />
        </DayLook>
    );
}
