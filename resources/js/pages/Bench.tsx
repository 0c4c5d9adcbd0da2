import { Head, useForm, usePage } from '@inertiajs/react';
import { useState } from 'react';
import styled from 'styled-components';
import { Nothing } from '../parts/Nothing';
import { Caution, MarginLook } from '../frame/Margin';
import { Fields } from '../intake/Fields';
import { Button } from '../parts/Button';
import { SelectField, TextField } from '../parts/fields';
import { formField } from '../parts/formField';
import { Ruled, Sheet, Title } from '../parts/Sheet';
import type {
    BenchPage,
    BenchProps,
    BenchSlotProps,
    KnownStationProps,
    PlaceProps,
    WhoProps,
} from '../types/generated/props';

const KINDS = [
    { key: 'folder', label: 'folder', detail: 'where its cards are mounted' },
    { key: 'raw', label: 'raw device', detail: 'without its file system: whatever is in it is erased' },
    { key: 'stand-in', label: 'stand-ins', detail: 'simulated cards' },
];

const Text = styled.button`
    border: 0;
    background: transparent;
    padding: 0;
    color: inherit;
    font-size: 12.5px;
    cursor: pointer;
    text-decoration: underline;
    text-underline-offset: 3px;
    white-space: nowrap;
`;

const Wrong = styled.p`
    color: var(--rust);
    font-size: 13px;
    margin-top: 8px;
`;

/** Which benches are at work, what lies in their slots, and what a slot is. */
export default function Bench({ benches, readers, hosts, known }: BenchPage) {
    const { who } = usePage<{ who: WhoProps; [key: string]: unknown }>().props;
    const may = who.may.includes('rules');
    return (
        <>
            <Head title="Benches" />
            <main>
                <Title>
                    <div>
                        <h1>Benches</h1>
                        <p>A run waits for the bench it was ordered at, and nobody else takes it.</p>
                    </div>
                </Title>
                {benches.map((bench) => (
                    <BenchSheet key={bench.id} bench={bench} readers={readers} may={may} />
                ))}
                {may ? <NewBench hosts={hosts} /> : null}
                <KnownStations known={known} may={may} />
            </main>
            <MarginLook>
                <h2 style={{ fontSize: 22 }}>Slots</h2>
                <Caution
                    caution={{
                        lead: 'A raw slot erases.',
                        rest:
                            'Give it the name that the host keeps for this reader, /dev/disk/by-id/…, ' +
                            'and never one that another disk may get.',
                    }}
                />
                <Caution
                    caution={{
                        lead: 'A folder must have a card mounted on it.',
                        rest: 'A bay that is empty is a folder of the host’s own disk, and is refused.',
                    }}
                />
            </MarginLook>
        </>
    );
}

function BenchSheet({ bench, readers, may }: { bench: BenchProps; readers: PlaceProps[]; may: boolean }) {
    const [open, setOpen] = useState<number | null>(null);
    const removal = useForm({});
    const error = (removal.errors as Record<string, string>)['slot'];
    return (
        <Sheet title={bench.name} caption={`at ${bench.host}${bench.here ? ', this machine' : ''}`} aside={bench.state}>
            <Ruled aria-label={`Slots of ${bench.name}`}>
                <thead>
                    <tr>
                        <th>Slot</th>
                        <th>Connected as</th>
                        <th>Card in it</th>
                        {may ? <th>Actions</th> : null}
                    </tr>
                </thead>
                <tbody>
                    {bench.slots.length === 0 ? (
                        <tr>
                            <td colSpan={4}>
                                <Nothing>No slots yet. Add the first one below.</Nothing>
                            </td>
                        </tr>
                    ) : null}
                    {bench.slots.map((slot) => (
                        <tr key={slot.id}>
                            <td style={{ whiteSpace: 'nowrap' }}>{slot.name}</td>
                            <td style={{ overflowWrap: 'anywhere' }}>
                                {KINDS.find((kind) => kind.key === slot.kind)?.label}
                                {slot.path === '' ? '' : `, ${slot.path}`}
                                <br />
                                <small>
                                    {readers.find((reader) => reader.id === slot.reader)?.label} ·{' '}
                                    {bench.ports.find((port) => port.id === slot.port)?.label}
                                </small>
                            </td>
                            <td style={{ overflowWrap: 'anywhere' }}>{slot.run ?? slot.seen}</td>
                            {may ? (
                                <td>
                                    <Text
                                        type="button"
                                        onClick={() => {
                                            setOpen(open === slot.id ? null : slot.id);
                                        }}
                                    >
                                        {open === slot.id ? 'close' : `change ${slot.name}`}
                                    </Text>
                                    <br />
                                    <Text
                                        type="button"
                                        onClick={() => {
                                            removal.delete(`/slots/${slot.id}`, { preserveScroll: true });
                                        }}
                                    >
                                        delete {slot.name}
                                    </Text>
                                </td>
                            ) : null}
                        </tr>
                    ))}
                </tbody>
            </Ruled>
            {bench.left > 0 && may ? (
                <p style={{ marginTop: 12, fontSize: 13.5 }}>
                    {bench.left === 1 ? 'One run or offload is' : `${String(bench.left)} runs or offloads are`} open
                    there, and its cards wait.{' '}
                    <Text
                        type="button"
                        onClick={() => {
                            removal.post(`/benches/${String(bench.id)}/end`, { preserveScroll: true });
                        }}
                    >
                        End them without {bench.name}
                    </Text>
                </p>
            ) : null}
            {error === undefined ? null : <Wrong role="alert">{error}</Wrong>}
            {may ? (
                <SlotForm
                    key={open ?? 'new'}
                    bench={bench}
                    slot={bench.slots.find((slot) => slot.id === open) ?? null}
                    readers={readers}
                />
            ) : null}
        </Sheet>
    );
}

function SlotForm({ bench, slot, readers }: { bench: BenchProps; slot: BenchSlotProps | null; readers: PlaceProps[] }) {
    const form = useForm({
        name: slot?.name ?? '',
        kind: slot?.kind ?? 'folder',
        path: slot?.path ?? '',
        reader: String(slot?.reader ?? ''),
        port: String(slot?.port ?? ''),
    });
    const field = formField(form);
    const wrong = (form.errors as Record<string, string>)['slot'];
    const options = {
        preserveScroll: true,
        onSuccess: () => {
            if (slot === null) {
                form.setData((values) => ({ ...values, name: '', path: '' }));
            }
        },
    };
    const places = (list: readonly PlaceProps[]) => list.map(({ id, label }) => ({ key: String(id), label }));
    return (
        <form
            noValidate
            style={{ marginTop: 14 }}
            onSubmit={(event) => {
                event.preventDefault();
                if (slot === null) {
                    form.post(`/benches/${bench.id}/slots`, options);
                } else {
                    form.put(`/slots/${slot.id}`, options);
                }
            }}
        >
            <Fields>
                <TextField {...field('name')} label={slot === null ? 'Another slot' : 'Name'} placeholder="Bay 3" />
                <SelectField {...field('kind')} label="Connected as" choices={KINDS} />
                {form.data.kind === 'stand-in' ? null : (
                    <div className="half">
                        <TextField {...field('path')} label="Path" figures placeholder="/media/bay-3" />
                    </div>
                )}
                <SelectField {...field('reader')} label="Reader" choices={places(readers)} />
                <SelectField {...field('port')} label="Port" choices={places(bench.ports)} />
                <div style={{ alignSelf: 'end' }}>
                    <Button type="submit" quiet>
                        {slot === null ? 'Add this slot' : `Save ${slot.name}`}
                    </Button>
                </div>
            </Fields>
            {wrong === undefined ? null : <Wrong role="alert">{wrong}</Wrong>}
        </form>
    );
}

/** Whose result files count here; each with what it signed, so that a key that is no longer trusted can be taken out. */
function KnownStations({ known, may }: { known: KnownStationProps[]; may: boolean }) {
    const form = useForm({ known: '' });
    const field = formField(form);
    const act = useForm({});
    return (
        <Sheet title="Stations of other houses" caption="whose result files count here">
            {known.length === 0 ? (
                <Nothing>None yet. Results that another house has signed are kept apart and shown as theirs.</Nothing>
            ) : (
                <Ruled aria-label="Stations of other houses">
                    <thead>
                        <tr>
                            <th>Station</th>
                            <th>Runs it signed</th>
                            <th>Standing</th>
                            {may ? <th>Actions</th> : null}
                        </tr>
                    </thead>
                    <tbody>
                        {known.map((one) => (
                            <tr key={one.id}>
                                <td style={{ overflowWrap: 'anywhere' }}>
                                    {one.name}
                                    <br />
                                    <small>{one.key}</small>
                                </td>
                                <td>{one.runs}</td>
                                <td>{one.revoked === null ? 'trusted' : `${one.revoked}; its runs count nowhere`}</td>
                                {may ? (
                                    <td>
                                        <Text
                                            type="button"
                                            onClick={() => {
                                                act.post(
                                                    `/known-stations/${String(one.id)}/${one.revoked === null ? 'revoke' : 'trust'}`,
                                                    { preserveScroll: true },
                                                );
                                            }}
                                        >
                                            {one.revoked === null ? `revoke ${one.name}` : `trust ${one.name} again`}
                                        </Text>
                                    </td>
                                ) : null}
                            </tr>
                        ))}
                    </tbody>
                </Ruled>
            )}
            {may ? (
                <form
                    noValidate
                    style={{ marginTop: 14 }}
                    onSubmit={(event) => {
                        event.preventDefault();
                        form.post('/known-stations', {
                            preserveScroll: true,
                            onSuccess: () => {
                                form.reset();
                            },
                        });
                    }}
                >
                    <TextField
                        {...field('known')}
                        label="The line that php artisan tally:key prints there"
                        figures
                        placeholder="Bench of friends=…"
                        hint="Exchange it over a way on which you know each other by voice or face."
                    />
                    <div style={{ marginTop: 10 }}>
                        <Button type="submit" quiet>
                            Trust this station
                        </Button>
                    </div>
                </form>
            ) : null}
        </Sheet>
    );
}

function NewBench({ hosts }: { hosts: PlaceProps[] }) {
    const form = useForm({ station: '', host: '' });
    const field = formField(form);
    return (
        <Sheet
            title="Another bench"
            caption="its machine says the same name in TALLY_STATION, and works on these books"
        >
            <form
                noValidate
                onSubmit={(event) => {
                    event.preventDefault();
                    form.post('/benches', {
                        preserveScroll: true,
                        onSuccess: () => {
                            form.reset();
                        },
                    });
                }}
            >
                <Fields>
                    <TextField {...field('station')} label="Name" placeholder="Bench B" />
                    <SelectField
                        {...field('host')}
                        label="Host"
                        choices={hosts.map(({ id, label }) => ({ key: String(id), label }))}
                    />
                    <div style={{ alignSelf: 'end' }}>
                        <Button type="submit" quiet>
                            Add this bench
                        </Button>
                    </div>
                </Fields>
            </form>
        </Sheet>
    );
}
