import { Ticks } from '../parts/choices';
import { SelectField, TextField } from '../parts/fields';
import type { KitFieldProps } from '../types/generated/props';

const WIDE = ['name', 'measured_how'];

/** A field of gear in the control that suits it. */
export function KitField({
    field,
    value,
    error,
    onChange,
}: {
    field: KitFieldProps;
    value: string[];
    error: string | undefined;
    onChange: (value: string[]) => void;
}) {
    const one = value[0] ?? '';
    const choices = field.choices.map(({ key, label }) => ({ key, label }));
    switch (field.control) {
        case 'several':
            return (
                <div className="whole">
                    <Ticks label={field.label} error={error} value={value} choices={choices} onChange={onChange} />
                </div>
            );
        case 'choice':
            return (
                <SelectField
                    name={field.name}
                    label={field.label}
                    error={error}
                    value={one}
                    choices={choices}
                    {...(field.none === null ? {} : { none: field.none })}
                    onChange={(key) => {
                        onChange([key]);
                    }}
                />
            );
        default:
            return (
                <div className={WIDE.includes(field.name) ? 'half' : ''}>
                    <TextField
                        name={field.name}
                        label={field.label}
                        error={error}
                        value={one}
                        placeholder={field.placeholder}
                        figures={field.control === 'figures'}
                        onChange={(text) => {
                            onChange([text]);
                        }}
                    />
                </div>
            );
    }
}
