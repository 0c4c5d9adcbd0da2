import {
    Button,
    FieldError,
    Input,
    Label,
    ListBox,
    ListBoxItem,
    Popover,
    RadioButton,
    RadioField,
    RadioGroup,
    Select,
    SelectValue,
    Text,
    TextField as AriaTextField,
    ToggleButton,
    ToggleButtonGroup,
    type Key,
} from 'react-aria-components';
import styled, { css } from 'styled-components';

/** Controls of React Aria in the house's look. An error is the server's own sentence. */

const field = css`
    display: flex;
    flex-direction: column;
    min-width: 0;
    .react-aria-Label,
    .label {
        font-size: 12.5px;
        font-weight: 560;
        font-stretch: 84%;
        color: var(--pencil);
    }
    [slot='errorMessage'] {
        color: var(--rust);
        font-size: 12.5px;
        margin-top: 3px;
    }
    [slot='description'] {
        color: var(--pencil);
        font-size: 12px;
        margin-top: 2px;
    }
`;

const box = css`
    width: 100%;
    margin-top: 2px;
    padding: 6px 2px 5px;
    border: 0;
    border-bottom: 1.5px solid var(--ink);
    border-radius: 0;
    background: transparent;
    font-size: 14.5px;
    text-align: left;
    &[data-invalid] {
        border-bottom-color: var(--rust);
        box-shadow: 0 1px 0 var(--rust);
    }
`;

const TextLook = styled(AriaTextField)`
    ${field}
    input {
        ${box}
    }
    &[data-figures] input {
        font-family: var(--figures);
        font-stretch: 75%;
        font-size: 13px;
    }
`;

interface FieldProps {
    label: string;
    error?: string | undefined;
    hint?: string | undefined;
}

export function TextField({
    label,
    error,
    hint,
    value,
    onChange,
    figures = false,
    autoFocus = false,
    name,
    placeholder = '',
}: FieldProps & {
    value: string;
    onChange: (value: string) => void;
    figures?: boolean;
    autoFocus?: boolean;
    name: string;
    placeholder?: string;
}) {
    return (
        <TextLook
            value={value}
            onChange={onChange}
            isInvalid={error !== undefined}
            name={name}
            autoFocus={autoFocus}
            {...(figures ? { 'data-figures': '' } : {})}
        >
            <Label>{label}</Label>
            <Input placeholder={placeholder} autoComplete="off" spellCheck={false} />
            {hint === undefined || error !== undefined ? null : <Text slot="description">{hint}</Text>}
            <FieldError>{error}</FieldError>
        </TextLook>
    );
}

const SelectLook = styled(Select)`
    ${field}
    > button {
        ${box}
        display: flex;
        justify-content: space-between;
        cursor: pointer;
    }
    > button [slot='description'] {
        display: none;
    }
    > button .react-aria-SelectValue[data-placeholder] {
        color: var(--pencil);
    }
`;

export const PopoverLook = styled(Popover)`
    min-width: var(--trigger-width);
    max-height: 320px;
    overflow: auto;
    background: var(--sheet);
    border: 1.3px solid var(--ink);
    padding: 4px 0;
    [role='option'],
    [role='menuitem'] {
        padding: 6px 12px;
        cursor: pointer;
        outline: none;
    }
    [data-focused] {
        background: var(--faint);
    }
    [data-selected] [slot='label'] {
        font-weight: 650;
    }
    [slot='description'] {
        display: block;
        color: var(--pencil);
        font-size: 12px;
    }
    [data-disabled] {
        color: var(--pencil);
        cursor: default;
    }
`;

export interface Choice {
    key: string;
    label: string;
    /** A second line in the list, such as why it cannot be chosen. */
    detail?: string;
    disabled?: boolean;
}

export function SelectField({
    label,
    error,
    hint,
    value,
    onChange,
    choices,
    none,
    name,
}: FieldProps & {
    value: string;
    onChange: (value: string) => void;
    choices: readonly Choice[];
    none?: string;
    name: string;
}) {
    const items = none === undefined ? choices : [{ key: 'none', label: none }, ...choices];
    return (
        <SelectLook
            value={value === '' ? (none === undefined ? null : 'none') : value}
            onChange={(key: Key | Key[] | null) => {
                const one = Array.isArray(key) ? key[0] : key;
                onChange(one === undefined || one === null || one === 'none' ? '' : String(one));
            }}
            isInvalid={error !== undefined}
            name={name}
        >
            <Label>{label}</Label>
            <Button>
                <SelectValue />
                <span aria-hidden="true">▾</span>
            </Button>
            {hint === undefined || error !== undefined ? null : <Text slot="description">{hint}</Text>}
            <FieldError>{error}</FieldError>
            <PopoverLook>
                <ListBox items={items}>
                    {(item) => (
                        <ListBoxItem id={item.key} textValue={item.label} isDisabled={item.disabled ?? false}>
                            <Text slot="label">{item.label}</Text>
                            {item.detail === undefined ? null : <Text slot="description">{item.detail}</Text>}
                        </ListBoxItem>
                    )}
                </ListBox>
            </PopoverLook>
        </SelectLook>
    );
}

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
                        <RadioButton className="radio">{option.label}</RadioButton>
                    </RadioField>
                ))}
            </div>
            <FieldError>{error}</FieldError>
        </RadioLook>
    );
}
