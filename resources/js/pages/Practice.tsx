import { Head, Link, useForm } from '@inertiajs/react';
import { useState } from 'react';
import { Caution, MarginLook } from '../frame/Margin';
import { Button } from '../parts/Button';
import { Options } from '../parts/choices';
import { CountField } from '../parts/countAndDay';
import { TextField } from '../parts/fields';
import { formField } from '../parts/formField';
import { NameField } from '../parts/NameField';
import { ServerForm } from '../parts/ServerForm';
import { Ruled, Sheet, Title } from '../parts/Sheet';
import { TallyMarks } from '../parts/TallyMarks';
import type { MistakeProps, PracticePage, PracticeRoundProps } from '../types/generated/props';

/** Where practice begins, and how it went: what is got wrong, ten rounds after ten. */
export default function Practice({ levels, mistakes, rounds, open, person }: PracticePage) {
    const form = useForm({ level: '1', seed: '', by: person });
    const field = formField(form);
    return (
        <>
            <Head title="Practice" />
            <main>
                <Title>
                    <div>
                        <h1>Practice</h1>
                        <p>
                            Cards that nobody has. Do what you would do at work, watch the clock, then call it. What you
                            get wrong comes more often.
                        </p>
                    </div>
                </Title>
                {open === null ? null : (
                    <p>
                        <Link href={`/practice/${open}`}>Go on with the round you have begun</Link>
                    </p>
                )}
                <Sheet title="A new round">
                    <ServerForm
                        onSubmit={(event) => {
                            event.preventDefault();
                            form.post('/practice');
                        }}
                    >
                        <Options
                            {...field('level')}
                            label="Level"
                            options={levels.map((level) => ({
                                key: String(level.level),
                                label: `${level.level} ${level.words}`,
                                detail:
                                    level.rounds === 0 ? 'not tried yet' : `${level.right} of ${level.rounds} right`,
                            }))}
                        />
                        <div style={{ display: 'flex', flexWrap: 'wrap', gap: 20, alignItems: 'end', marginTop: 12 }}>
                            <CountField {...field('seed')} label="Seed of a shared one, or nothing" />
                            <NameField {...field('by')} name="practice-by" label="Your name" />
                            <Button type="submit" data-main="" isDisabled={form.processing}>
                                Begin a round
                            </Button>
                        </div>
                    </ServerForm>
                </Sheet>
                {mistakes.length === 0 ? null : <Mistakes mistakes={mistakes} />}
                {rounds.length === 0 ? null : <Rounds rounds={rounds} />}
            </main>
            <MarginLook>
                <h2 style={{ fontSize: 22 }}>A set on paper</h2>
                <PaperSet />
                <Caution
                    caution={{
                        lead: 'To clear a bad card loses a shoot.',
                        rest: 'To convict a good one loses somebody’s good name. What is not settled is called Unproven.',
                    }}
                />
            </MarginLook>
        </>
    );
}

function Mistakes({ mistakes }: { mistakes: readonly MistakeProps[] }) {
    return (
        <Ruled aria-label="What went wrong">
            <thead>
                <tr>
                    <th>What went wrong</th>
                    <th className="n">In all</th>
                    <th>In ten rounds each, the first on the left</th>
                </tr>
            </thead>
            <tbody>
                {mistakes.map((mistake) => (
                    <tr key={mistake.words}>
                        <td>{mistake.words}</td>
                        <td className="n">{mistake.count}</td>
                        <td>
                            <span style={{ display: 'inline-flex', gap: 14, alignItems: 'center' }}>
                                {mistake.blocks.map((count, at) =>
                                    count === 0 ? (
                                        <span key={at}>0</span>
                                    ) : (
                                        <TallyMarks key={at} count={count} what={`in rounds ${at * 10 + 1} and on`} />
                                    ),
                                )}
                            </span>
                        </td>
                    </tr>
                ))}
            </tbody>
        </Ruled>
    );
}

function Rounds({ rounds }: { rounds: readonly PracticeRoundProps[] }) {
    return (
        <Ruled aria-label="Rounds">
            <thead>
                <tr>
                    <th className="n">Level</th>
                    <th className="n">Seed</th>
                    <th>What it was</th>
                    <th>Called</th>
                    <th>When</th>
                </tr>
            </thead>
            <tbody>
                {rounds.map((round) => (
                    <tr key={round.id}>
                        <td className="n">{round.level}</td>
                        <td className="n">
                            <Link href={`/practice/${round.id}`}>{round.seed}</Link>
                        </td>
                        <td>{round.was}</td>
                        <td>{round.wrong === '' ? 'right' : round.wrong}</td>
                        <td style={{ whiteSpace: 'nowrap' }}>{round.on}</td>
                    </tr>
                ))}
            </tbody>
        </Ruled>
    );
}

/** The same seed prints the same set anywhere. */
function PaperSet() {
    const [seed, setSeed] = useState('1');
    return (
        <>
            <TextField name="set-seed" label="Seed of the set" value={seed} onChange={setSeed} figures />
            <p style={{ fontSize: 13 }}>
                <a style={{ color: 'inherit' }} href={`/practice/set.pdf?seed=${encodeURIComponent(seed)}`}>
                    One exercise of each level, with answers
                </a>
                . The same seed prints the same set anywhere.
            </p>
        </>
    );
}
