import { Head, Link, router, useForm } from '@inertiajs/react';
import { useEffect } from 'react';
import styled from 'styled-components';
import { Caution, MarginLook } from '../frame/Margin';
import { Fields } from '../intake/Fields';
import { Button, buttonLook } from '../parts/Button';
import { DayField } from '../parts/countAndDay';

import { formField } from '../parts/formField';
import { NameField } from '../parts/NameField';
import { Nothing } from '../parts/Nothing';
import { ServerForm } from '../parts/ServerForm';
import { Ruled, Sheet, Title } from '../parts/Sheet';
import { VerdictShape, verdictColour } from '../parts/VerdictMark';
import type { ReportPage, ReportProps } from '../types/generated/props';

const Take = styled.a<{ $quiet?: boolean }>`
    ${buttonLook}
`;

const Parts = styled.div`
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(260px, 1fr));
    gap: 0 26px;
`;

/** What happened in a period: cards by verdict, what was tested and struck out, what plans saved. */
export default function Report({ from, to, report, person }: ReportPage) {
    const form = useForm({ from, to, by: person });
    const field = formField(form);
    return (
        <>
            <Head title="Report of the house" />
            <main>
                <Title>
                    <div>
                        <h1>{report === null ? 'Report of the house' : `Report, ${report.title}`}</h1>
                        <p>Cards by verdict, what was tested, what was struck out and why, and what plans saved.</p>
                    </div>
                </Title>
                <Sheet title="Of which days">
                    <ServerForm
                        onSubmit={(event) => {
                            event.preventDefault();
                            form.post('/ledger/reports');
                        }}
                    >
                        <Fields>
                            <DayField {...field('from')} label="From the day" />
                            <DayField {...field('to')} label="to the day" />
                            <NameField {...field('by')} name="report-by" label="Your name" />
                            <div style={{ alignSelf: 'end' }}>
                                <Button
                                    type="submit"
                                    data-main={report === null ? '' : undefined}
                                    isDisabled={form.processing}
                                >
                                    Make the report
                                </Button>
                            </div>
                        </Fields>
                    </ServerForm>
                </Sheet>
                {report === null ? null : <Gathered key={report.id} report={report} />}
            </main>
            <MarginLook>
                <h2 style={{ fontSize: 22 }}>What it is for</h2>
                <p style={{ fontSize: 13 }}>
                    For whoever pays for cards and hours. {report === null ? '' : report.how}
                </p>
                {report?.isDone === true ? (
                    <Take href={`/ledger/reports/${report.id}/report.pdf`} data-main="">
                        Take it as PDF
                    </Take>
                ) : null}
                <Caution
                    caution={{
                        lead: 'A count is no proof.',
                        rest: 'That no card was struck out may mean that none was tested.',
                    }}
                />
            </MarginLook>
        </>
    );
}

function Gathered({ report }: { report: ReportProps }) {
    useEffect(() => {
        if (!report.isDone) {
            router.post(`/ledger/reports/${report.id}/go-on`, {}, { preserveScroll: true, preserveState: true });
        }
    }, [report]);
    if (!report.isDone) {
        return (
            <p role="status" style={{ marginTop: 14 }}>
                {report.taken} of {report.steps} cards and offloads were looked at so far.
            </p>
        );
    }
    return (
        <>
            <Parts>
                {report.parts.map((part) => (
                    <Ruled key={part.title} aria-label={part.title}>
                        <thead>
                            <tr>
                                <th>{part.title}</th>
                                <th className="n" />
                            </tr>
                        </thead>
                        <tbody>
                            {part.rows.map((row) => (
                                <tr key={row.label}>
                                    <td>{row.label}</td>
                                    <td className="n">{row.words}</td>
                                </tr>
                            ))}
                            {part.rows.length === 0 ? (
                                <tr>
                                    <td colSpan={2}>nothing</td>
                                </tr>
                            ) : null}
                        </tbody>
                    </Ruled>
                ))}
            </Parts>
            {report.struck.length === 0 ? (
                <Nothing>Nothing was struck out in these days.</Nothing>
            ) : (
                <Ruled aria-label="Struck out, and why">
                    <thead>
                        <tr>
                            <th>Struck out</th>
                            <th>Card</th>
                            <th>Why</th>
                        </tr>
                    </thead>
                    <tbody>
                        {report.struck.map((one) => (
                            <tr key={one.tag}>
                                <td style={{ color: verdictColour[one.verdict], whiteSpace: 'nowrap' }}>
                                    <VerdictShape kind={one.verdict} size={11} /> {one.verdict}
                                </td>
                                <td>
                                    <Link href={`/prove/${one.tag}`}>{one.tag}</Link> {one.name}
                                </td>
                                <td>{one.why}</td>
                            </tr>
                        ))}
                    </tbody>
                </Ruled>
            )}
        </>
    );
}
