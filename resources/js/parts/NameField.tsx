import { usePage } from '@inertiajs/react';
import type { WhoProps } from '../types/generated/props';
import { TextField } from './fields';

/** Who does something: typed where the house is open; whoever is signed in signs with their own name. */
export function NameField({
    name,
    label,
    value,
    onChange,
    error,
    placeholder,
}: {
    name: string;
    label: string;
    value: string;
    onChange: (value: string) => void;
    error?: string | undefined;
    placeholder?: string;
}) {
    const { who } = usePage<{ who: WhoProps; [key: string]: unknown }>().props;
    return (
        <TextField
            name={name}
            label={label}
            value={who.name ?? value}
            onChange={onChange}
            error={error}
            placeholder={placeholder ?? ''}
            readOnly={who.name !== null}
        />
    );
}
