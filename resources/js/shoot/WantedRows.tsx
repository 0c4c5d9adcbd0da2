import styled from 'styled-components';
import { Button } from '../parts/Button';
import { SelectField, TextField } from '../parts/fields';
import { Ticks } from '../parts/choices';
import type { ShootModeProps, WantedProps } from '../types/generated/props';

const Row = styled.div`
    display: grid;
    grid-template-columns: minmax(170px, 2fr) minmax(90px, 1fr) minmax(90px, 1fr) auto auto;
    gap: 14px;
    align-items: end;
    padding: 4px 0 8px;
    border-bottom: 1px solid var(--rule);
    @media (max-width: 620px) {
        grid-template-columns: 1fr 1fr;
    }
`;

/** What each camera records: a row for a mode. */
export function WantedRows({
    wanted,
    modes,
    errors,
    onChange,
}: {
    wanted: readonly WantedProps[];
    modes: readonly ShootModeProps[];
    errors: Readonly<Record<string, string>>;
    onChange: (wanted: WantedProps[]) => void;
}) {
    const change = (at: number, part: Partial<WantedProps>) => {
        onChange(wanted.map((row, i) => (i === at ? { ...row, ...part } : row)));
    };
    return (
        <>
            {wanted.map((row, i) => {
                const mode = modes.find((one) => one.key === row.mode);
                const error = (field: string) => errors[`wanted.${i}.${field}`];
                return (
                    <Row key={i} role="group" aria-label={`Recording ${i + 1}`}>
                        <SelectField
                            name={`wanted.${i}.mode`}
                            label={mode === undefined || mode.records === '' ? 'Mode' : `Mode, ${mode.records}`}
                            value={row.mode}
                            onChange={(key) => {
                                change(i, { mode: key });
                            }}
                            choices={modes}
                            error={error('mode')}
                        />
                        <TextField
                            name={`wanted.${i}.daily`}
                            label={mode?.isStills === true ? 'Shots a day' : 'Recorded a day'}
                            placeholder={mode?.isStills === true ? '400' : '3 h'}
                            value={row.daily}
                            onChange={(daily) => {
                                change(i, { daily });
                            }}
                            error={error('daily')}
                            figures
                        />
                        <TextField
                            name={`wanted.${i}.days`}
                            label="On days"
                            placeholder="all"
                            value={row.days}
                            onChange={(days) => {
                                change(i, { days });
                            }}
                            error={error('days')}
                            figures
                        />
                        <Ticks
                            label="No pause"
                            value={row.spare ? ['1'] : []}
                            onChange={(ticked) => {
                                change(i, { spare: ticked.length > 0 });
                            }}
                            choices={[{ key: '1', label: 'a spare' }]}
                        />
                        <Button
                            quiet
                            aria-label={`Take recording ${i + 1} out`}
                            onPress={() => {
                                onChange(wanted.filter((_, at) => at !== i));
                            }}
                        >
                            Take out
                        </Button>
                    </Row>
                );
            })}
        </>
    );
}
