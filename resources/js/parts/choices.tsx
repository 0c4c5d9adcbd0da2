import {
    FieldError,
    Label,
    RadioButton,
    RadioField,
    RadioGroup,
    ToggleButton,
    ToggleButtonGroup,
} from 'react-aria-components';
import styled from 'styled-components';
import { field, type Choice, type FieldProps } from './fields';

const Toggles = styled.div`
    ${field}
    .react-aria-ToggleButtonGroup {
        display: flex;
        flex-wrap: wrap;
        gap: 5px;
        margin-top: 6px;
    }
    .react-aria-ToggleButton {
        font-family: var(--figures);
        font-stretch: 75%;
        font-size: 11.5px;
        padding: 3px 8px;
        background: transparent;
        border: 1.2px solid var(--rule);
        border-radius: 2px;
        cursor: pointer;
    }
    .react-aria-ToggleButton[data-selected] {
        background: var(--ink);
        color: var(--paper);
        border-color: var(--ink);
    }
`;

/** Several of a list, as they are printed on a label. */
export function Ticks({
    label,
    error,
    value,
    onChange,
    choices,
}: FieldProps & { value: readonly string[]; onChange: (value: string[]) => void; choices: readonly Choice[] }) {
    return (
        <Toggles>
            <span className="label">{label}</span>
            <ToggleButtonGroup
                aria-label={label}
                selectionMode="multiple"
                selectedKeys={value}
                onSelectionChange={(keys) => {
                    onChange([...keys].map(String));
                }}
            >
                {choices.map((choice) => (
                    <ToggleButton key={choice.key} id={choice.key}>
                        {choice.label}
                    </ToggleButton>
                ))}
            </ToggleButtonGroup>
            {error === undefined ? null : <span slot="errorMessage">{error}</span>}
        </Toggles>
    );
}

const RadioLook = styled(RadioGroup)`
    ${field}
    .options {
        display: flex;
        gap: 16px;
        margin-top: 8px;
        flex-wrap: wrap;
    }
    .radio {
        display: flex;
        gap: 8px;
        align-items: flex-start;
        color: var(--ink);
        font-size: 13.5px;
        font-weight: 400;
        font-stretch: 100%;
        cursor: pointer;
        padding: 3px 4px;
    }
    .radio small {
        display: block;
        color: var(--pencil);
        font-size: 12px;
    }
    .radio::before {
        content: '';
        width: 13px;
        height: 13px;
        margin-top: 3px;
        border: 1.5px solid var(--ink);
        border-radius: 50%;
        flex: none;
    }
    .radio[data-selected]::before {
        border-width: 4.5px;
        border-color: var(--rust);
    }
`;

/** One of a few. */
export function Options({
    label,
    error,
    value,
    onChange,
    options,
}: FieldProps & {
    value: string;
    onChange: (value: string) => void;
    options: readonly Choice[];
}) {
    return (
        <RadioLook value={value} onChange={onChange} isInvalid={error !== undefined}>
            <Label>{label}</Label>
            <div className="options">
                {options.map((option) => (
                    <RadioField key={option.key} value={option.key}>
                        <RadioButton className="radio">
                            <span>
                                {option.label}
                                {option.detail === undefined ? null : <small>{option.detail}</small>}
                            </span>
                        </RadioButton>
                    </RadioField>
                ))}
            </div>
            <FieldError>{error}</FieldError>
        </RadioLook>
    );
}
