import { Head } from '@inertiajs/react';
import { Tabs } from '../compare/Tabs';
import { TwinPicture, TwinTable } from '../compare/TwinRows';
import { Caution, MarginLook } from '../frame/Margin';
import { Sheet, Title } from '../parts/Sheet';
import type { TwinsPage } from '../types/generated/props';

/** Cards of different labels that do just the same on one chain. */
export default function Twins({ groups }: TwinsPage) {
    return (
        <>
            <Head title="Twins" />
            <main>
                <Title>
                    <div>
                        <h1>Twins: one card under two labels?</h1>
                        <Tabs here="/compare/twins" />
                    </div>
                </Title>
                {groups.length === 0 ? (
                    <Sheet title="None found">
                        <p style={{ fontSize: 13.5 }}>
                            No two cards of different labels were equally fast on one chain that held neither back. Two
                            readings of each are needed at least.
                        </p>
                    </Sheet>
                ) : (
                    groups.map((group) => (
                        <Sheet
                            key={`${group.chain} ${group.members[0]?.tag ?? ''}`}
                            title={group.members.map((one) => one.tag).join(' and ')}
                            caption={group.chain}
                            aside="MB/s"
                        >
                            <TwinPicture group={group} />
                            <p style={{ fontSize: 13, marginTop: 6 }}>{group.words}</p>
                            <TwinTable group={group} />
                        </Sheet>
                    ))
                )}
            </main>
            <MarginLook>
                <h2 style={{ fontSize: 22 }}>Equal within five parts in a hundred</h2>
                <p style={{ fontSize: 13 }}>
                    Two one-sided tests on the logarithms of their speeds, writing and reading, on the same chain. Where
                    the chain was the limit, equality says nothing and no pair is made.
                </p>
                <Caution
                    caution={{
                        lead: 'Same label, different card happens too.',
                        rest: 'A seller may ship another card under the same name and code: measure each one.',
                    }}
                />
            </MarginLook>
        </>
    );
}
