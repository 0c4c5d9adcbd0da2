import { Head, Link, router, useForm, usePage, usePoll } from '@inertiajs/react';
import { useState } from 'react';
import { Button as AriaButton, FileTrigger } from 'react-aria-components';
import styled from 'styled-components';
import { grouped, size } from '../format';
import { Caution, MarginLook } from '../frame/Margin';
import { ColumnTable } from '../import/ColumnTable';
import { BadRows, GoodRows } from '../import/Rows';
import { Button, buttonLook } from '../parts/Button';
import { Sheet, Title } from '../parts/Sheet';
import type { ChoiceProps, ImportPage, ImportProps } from '../types/generated/props';

const MOST = 10_000_000;

const Choose = styled(AriaButton)<{ $quiet?: boolean }>`
    ${buttonLook}
`;

const Actions = styled.div`
    display: flex;
    gap: 10px;
    align-items: flex-start;
`;

const Wrong = styled.p`
    color: var(--rust);
    font-size: 13.5px;
    margin-top: 12px;
`;

const Formats = styled.p`
    font-size: 13px;
    margin-top: 4px;
    a {
        margin-right: 14px;
        color: inherit;
        text-underline-offset: 3px;
    }
`;

export default function Import(props: ImportPage) {
    if (props.reading !== null) {
        return <Reading name={props.reading} />;
    }
    return props.import === null ? (
        <Choice />
    ) : (
        <Preview key={props.import.id} table={props.import} fields={props.fields} />
    );
}

/** What was sent is being read: the page looks again until that is done. */
function Reading({ name }: { name: string }) {
    usePoll(700);
    return (
        <>
            <Head title={`${name} is being read`} />
            <main>
                <Title>
                    <div>
                        <h1>{name}</h1>
                        <p role="status">It is being read. That takes 20 seconds at the most.</p>
                    </div>
                </Title>
            </main>
            <Aside />
        </>
    );
}

/** Nothing sent yet: choose a table, or take the cards out as one. */
function Choice() {
    const page = usePage().props.errors as Record<string, string>;
    const form = useForm<{ table: File | null }>({ table: null });
    const [local, setLocal] = useState<string | undefined>(undefined);
    const busy = form.processing;
    const send = (files: FileList | null) => {
        const file = files?.[0];
        if (file === undefined) {
            return;
        }
        if (file.size > MOST) {
            setLocal(`“${file.name}” is ${size(file.size)}; a table may be 10 MB at most. Send a part of it.`);
            return;
        }
        setLocal(undefined);
        form.transform(() => ({ table: file }));
        form.post('/import', { forceFormData: true });
    };
    const error = local ?? form.errors.table ?? page['table'];
    return (
        <>
            <Head title="Cards from a table" />
            <main>
                <Title>
                    <div>
                        <h1>Cards from a table</h1>
                        <p>CSV, XLSX or ODS. Nothing is added until you confirm.</p>
                    </div>
                    <FileTrigger acceptedFileTypes={['.csv', '.tsv', '.txt', '.xlsx', '.ods']} onSelect={send}>
                        <Choose data-main="" isDisabled={busy}>
                            {busy ? 'Reading it…' : 'Choose a table'}
                        </Choose>
                    </FileTrigger>
                </Title>
                {error === undefined ? null : <Wrong role="alert">{error}</Wrong>}
                <Sheet title="How it is read">
                    <p style={{ fontSize: 13.5, maxWidth: '64ch' }}>
                        The first row names the columns, each row after it is a card. Sizes and speeds are written as on
                        a label: 128 GB, 95 MB/s, 1040 Mb/s; a bare number is GB and MB/s. A column may hold the whole
                        line of a label, such as “128GB SDXC II U3 V60 250MB/s”. Without a column of tags, tags count
                        up.
                    </p>
                </Sheet>
                <Sheet title="Export" caption="all cards as saved">
                    <Formats>
                        <a href="/export/cards.csv">Export as CSV</a>
                        <a href="/export/cards.xlsx">as XLSX</a>
                        <a href="/export/cards.ods">as ODS</a>
                    </Formats>
                </Sheet>
            </main>
            <Aside />
        </>
    );
}

function Preview({ table, fields }: { table: ImportProps; fields: ChoiceProps[] }) {
    const form = useForm({});
    const error = (form.errors as Record<string, string>)['table'];
    const busy = form.processing;
    const map = table.columns.map((column) => column.field);
    const match = (column: number, field: string) => {
        // A field has one column: chosen anew, it leaves the one it had.
        const next = map.map((before, i) => (i === column ? field : field !== '' && before === field ? '' : before));
        router.get(`/import/${table.id}`, { map: next }, { preserveState: true, preserveScroll: true, replace: true });
    };
    return (
        <>
            <Head title={`${table.name}, not added yet`} />
            <main>
                <Title>
                    <div>
                        <h1>{table.name}</h1>
                        <p>
                            <b>{grouped(table.good)}</b> {table.good === 1 ? 'row' : 'rows'} can be added
                            {table.badRows === 0 ? '' : `, ${grouped(table.badRows)} cannot and would be left out`}.
                            Nothing is saved yet.
                        </p>
                    </div>
                    <Actions>
                        <Button
                            quiet
                            onPress={() => {
                                router.post(`/import/${table.id}/cancel`);
                            }}
                        >
                            Cancel
                        </Button>
                        <Button
                            data-main=""
                            isDisabled={busy || table.good === 0}
                            detail={table.badRows === 0 ? 'all of them' : 'the good ones alone'}
                            onPress={() => {
                                form.transform(() => ({ map }));
                                form.post(`/import/${table.id}`);
                            }}
                        >
                            {busy ? 'Adding…' : `Add ${grouped(table.good)} ${table.good === 1 ? 'card' : 'cards'}`}
                        </Button>
                    </Actions>
                </Title>
                {error === undefined ? null : <Wrong role="alert">{error}</Wrong>}
                <ColumnTable columns={table.columns} fields={fields} onMatch={match} />
                {table.bad.length === 0 ? null : <BadRows bad={table.bad} rows={table.badRows} />}
                {table.rows.length === 0 ? null : <GoodRows rows={table.rows} good={table.good} />}
            </main>
            <Aside />
        </>
    );
}

function Aside() {
    return (
        <MarginLook>
            <h2 style={{ fontSize: 22 }}>Before you add it</h2>
            <Caution
                caution={{
                    lead: 'A table is somebody’s word.',
                    rest: 'What it says of a card is what its label says: nothing of it is measured or proven.',
                }}
            />
            <p style={{ fontSize: 13 }}>
                Serials and back codes are held against every card of the house as soon as they are entered.
            </p>
            <p style={{ fontSize: 13 }}>
                <Link href="/intake" style={{ color: 'inherit' }}>
                    Add a single card instead
                </Link>
            </p>
        </MarginLook>
    );
}
