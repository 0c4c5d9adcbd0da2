import { Head, useForm } from '@inertiajs/react';
import { FileTrigger } from 'react-aria-components';
import styled from 'styled-components';
import { Caution, MarginLook, Reasons } from '../frame/Margin';
import { Button } from '../parts/Button';
import { Sheet, Title } from '../parts/Sheet';
import { VerdictMark } from '../parts/VerdictMark';
import type { OpinionPage, OpinionProps, OpinionsProps } from '../types/generated/props';

const Ask = styled.div`
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px 16px;
    margin-top: 14px;
    font-size: 13px;
    .wrong {
        color: var(--rust);
    }
`;

const Case = styled.details`
    border-top: 1px solid var(--rule);
    padding: 7px 0;
    font-size: 13.5px;
    summary {
        display: grid;
        grid-template-columns: 92px auto 1fr 16px;
        gap: 4px 12px;
        align-items: center;
        cursor: pointer;
    }
    summary::-webkit-details-marker {
        display: none;
    }
    summary::after {
        content: '▾';
        color: var(--pencil);
    }
    &[open] > summary::after {
        content: '▴';
    }
    @media (max-width: 560px) {
        summary {
            grid-template-columns: 92px 1fr 16px;
        }
        summary small {
            grid-column: 1 / -1;
            grid-row: 2;
        }
    }
    summary b {
        font-weight: 650;
    }
    summary small {
        color: var(--pencil);
        font-size: 12.5px;
    }
    .differs {
        color: var(--rust);
        margin-top: 4px;
    }
`;

/** Figures from anywhere, judged as the house would judge them. Nothing is entered. */
export default function Opinion({ opinions }: OpinionPage) {
    const form = useForm<{ file: File | null }>({ file: null });
    const error = form.errors.file;
    return (
        <>
            <Head title="Second opinion" />
            <main>
                <Title>
                    <div>
                        <h1>Second opinion</h1>
                        <p>Figures from anywhere, judged as this house judges its own. Nothing is entered.</p>
                    </div>
                </Title>
                <Ask>
                    <FileTrigger
                        acceptedFileTypes={['application/json', '.json']}
                        onSelect={(files) => {
                            const file = files?.item(0);
                            if (file != null) {
                                form.transform(() => ({ file }));
                                form.post('/opinion', { forceFormData: true, preserveState: true });
                            }
                        }}
                    >
                        <Button isDisabled={form.processing}>Judge a file</Button>
                    </FileTrigger>
                    <span
                        className={error === undefined ? '' : 'wrong'}
                        role={error === undefined ? undefined : 'alert'}
                    >
                        {error ?? 'A case, a list of cases, or a result file from another bench.'}
                    </span>
                </Ask>
                {opinions === null ? <Format /> : <Answer opinions={opinions} />}
            </main>
            <MarginLook>
                <Caution
                    caution={{
                        lead: 'It is as good as its figures.',
                        rest: 'Whoever wrote them down decides what is known: on which chain, over which region, how often.',
                    }}
                />
                <Caution
                    caution={{
                        lead: 'Of a stranger’s readers',
                        rest: 'only what the file says is known. What your own readers were seen to carry plays no part here.',
                    }}
                />
            </MarginLook>
        </>
    );
}

function Format() {
    return (
        <Sheet title="What such a file looks like" caption="an open format, as JSON">
            <p style={{ fontSize: 13.5, maxWidth: '62ch' }}>
                The label as printed, what was seen, and each run with its chain: readings of a speed run, the course of
                a long write, what a proof wrote, read back and found bad. <a href="/opinion/example">An example</a> ·{' '}
                <a href="/opinion/schema">The schema</a> · at a terminal: <code>php artisan tally:judge FILE</code>
            </p>
        </Sheet>
    );
}

function Answer({ opinions }: { opinions: OpinionsProps }) {
    const one = opinions.count === 1;
    return (
        <Sheet
            title={opinions.file}
            caption={
                opinions.expected === null
                    ? `${opinions.count} ${one ? 'case' : 'cases'}`
                    : `${opinions.expected - opinions.differing} of ${opinions.expected} as expected`
            }
            aside={opinions.count > opinions.cases.length ? `the first ${opinions.cases.length} are shown` : ''}
        >
            {opinions.cases.map((opinion, i) => (
                <Row key={i} opinion={opinion} open={one || opinion.differs.length > 0} />
            ))}
        </Sheet>
    );
}

function Row({ opinion, open }: { opinion: OpinionProps; open: boolean }) {
    return (
        <Case open={open}>
            <summary>
                <VerdictMark kind={opinion.verdict} />
                <b>{opinion.name}</b>
                <small>{opinion.label}</small>
            </summary>
            {opinion.differs.length === 0 ? null : (
                <p className="differs">
                    Not as expected: {opinion.differs.join('; ')}. {opinion.because}
                </p>
            )}
            <Reasons reasons={opinion.reasons} />
            <p>Next: {opinion.next}.</p>
        </Case>
    );
}
