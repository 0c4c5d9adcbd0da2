import { router, usePage } from '@inertiajs/react';
import { useState } from 'react';
import styled from 'styled-components';
import { buttonLook } from '../parts/Button';
import { SelectField, TextField } from '../parts/fields';
import { Button as AriaButton } from 'react-aria-components';
import type { WrongCopyProps } from '../types/generated/props';

const Block = styled.section`
    background: var(--rust);
    color: var(--on-rust);
    padding: 14px 16px 16px 60px;
    margin: 10px 0;
    position: relative;
    > svg {
        position: absolute;
        left: 16px;
        top: 16px;
    }
    h2 {
        font-size: 25px;
        font-weight: 750;
        font-stretch: 80%;
        line-height: 1.15;
    }
    p {
        font-size: 14px;
        margin: 4px 0 0;
        overflow-wrap: anywhere;
    }
    .ways {
        display: grid;
        grid-template-columns: repeat(2, minmax(0, 1fr));
        gap: 10px;
        align-items: start;
        margin-top: 12px;
    }
    .onto {
        display: grid;
        grid-template-columns: 90px minmax(0, 1fr);
        gap: 8px;
        background: var(--sheet);
        color: var(--ink);
        padding: 2px 14px 10px;
    }
    .onto.alone {
        grid-template-columns: 90px;
    }
    [role='alert'] {
        font-weight: 650;
        grid-column: 1 / -1;
    }
    @media (max-width: 560px) {
        padding-left: 16px;
        > svg {
            position: static;
        }
        .ways {
            grid-template-columns: minmax(0, 1fr);
        }
    }
`;

const Way = styled(AriaButton)<{ $quiet?: boolean }>`
    ${buttonLook}
    width: 100%;
    border-color: var(--on-rust);
    background: var(--rust);
    color: var(--on-rust);
    &.first {
        background: var(--sheet);
        color: var(--ink);
    }
    small {
        color: inherit;
    }
`;

/** A copy that is wrong: what was found, where the card must stay, and the ways out. It stays until one is chosen. */
export function WrongCopy({ offload, wrong }: { offload: number; wrong: WrongCopyProps }) {
    const { errors } = usePage().props;
    const [drive, setDrive] = useState(wrong.drives[0] ?? '');
    const [folder, setFolder] = useState('');
    const [asked, setAsked] = useState(false);
    const send = (what: string, data: Record<string, string> = {}, of = `copies/${wrong.copy}`) => {
        setAsked(true);
        router.post(`/offloads/${offload}/${of}/${what}`, data, {
            preserveScroll: true,
            preserveState: true,
        });
    };
    const said = asked ? (errors['again'] ?? errors['swap'] ?? errors['drive'] ?? errors['leave']) : undefined;
    return (
        <Block aria-label={wrong.lead} role="alert">
            <svg width="30" height="30" viewBox="0 0 30 30" fill="none" aria-hidden="true">
                <rect x="1.5" y="1.5" width="27" height="27" stroke="currentColor" strokeWidth="2" />
                <path d="m9 9 12 12M21 9 9 21" stroke="currentColor" strokeWidth="3" />
            </svg>
            <h2>{wrong.lead}</h2>
            {wrong.found.map((sentence) => (
                <p key={sentence}>{sentence}</p>
            ))}
            <p>
                <b>{wrong.stay}</b>
            </p>
            <div className="ways">
                {wrong.hangs ? (
                    <Way
                        className="first"
                        onPress={() => {
                            send('leave');
                        }}
                    >
                        Do not wait for it<small>the rest goes on; what is whole stays</small>
                    </Way>
                ) : (
                    <>
                        {wrong.grown === null ? null : (
                            <Way
                                className="first"
                                onPress={() => {
                                    send('beginning', {}, `cards/${wrong.grown}`);
                                }}
                            >
                                Copy the card from the beginning
                                <small>into a folder of its own; what lies on the drives stays</small>
                            </Way>
                        )}
                        {wrong.drives.length === 0 || wrong.grown !== null ? null : (
                            <div>
                                <Way
                                    className="first"
                                    onPress={() => {
                                        send('elsewhere', { drive, folder });
                                    }}
                                >
                                    Copy to {drive}
                                    <small>a new copy, read back from there</small>
                                </Way>
                                <div className={wrong.isReal ? 'onto' : 'onto alone'}>
                                    <SelectField
                                        name={`onto-${wrong.copy}`}
                                        label="Other drive"
                                        value={drive}
                                        choices={wrong.drives.map((key) => ({ key, label: key }))}
                                        onChange={setDrive}
                                    />
                                    {wrong.isReal ? (
                                        <TextField
                                            name={`folder-${wrong.copy}`}
                                            label="Mounted at"
                                            placeholder="/media/drive-2"
                                            value={folder}
                                            error={asked ? errors['folder'] : undefined}
                                            onChange={setFolder}
                                        />
                                    ) : null}
                                </div>
                            </div>
                        )}
                        <Way
                            onPress={() => {
                                send('again');
                            }}
                        >
                            Try {wrong.drive} again<small>what is whole there is not copied again</small>
                        </Way>
                    </>
                )}
                {said === undefined ? null : <p role="alert">{said}</p>}
            </div>
        </Block>
    );
}
