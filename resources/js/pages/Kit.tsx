import { Head, Link } from '@inertiajs/react';
import styled from 'styled-components';
import { Caution, MarginLook } from '../frame/Margin';
import { Ceilings } from '../kit/Ceilings';
import { ModeFiles } from '../kit/ModeFiles';
import { Sheet, Title } from '../parts/Sheet';
import { buttonLook } from '../parts/Button';
import type { KitItemProps, KitPage } from '../types/generated/props';

const Item = styled.li`
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1.7fr);
    gap: 6px 20px;
    padding: 9px 0;
    border-top: 1px solid var(--rule);
    h2 {
        font-size: 14px;
        font-weight: 680;
        font-stretch: 84%;
    }
    h2 a {
        color: inherit;
        text-decoration: none;
    }
    h2 a:hover {
        text-decoration: underline;
    }
    .code {
        font-family: var(--figures);
        font-stretch: 75%;
        margin-right: 7px;
    }
    p {
        font-size: 12.5px;
        color: var(--pencil);
    }
    .trouble {
        color: var(--rust);
        font-weight: 650;
    }
    @media (max-width: 560px) {
        grid-template-columns: minmax(0, 1fr);
    }
`;

const List = styled.ul`
    list-style: none;
`;

const More = styled(Link)`
    color: inherit;
    font-size: 12.5px;
    text-underline-offset: 3px;
`;

const SheetLink = styled(Link)<{ $quiet?: boolean }>`
    ${buttonLook}
`;

/** Everything the house owns that data passes through, with what each link carries and how that is known. */
export default function Kit({ lists, said }: KitPage) {
    return (
        <>
            <Head title="Kit" />
            <main>
                <Title>
                    <div>
                        <h1>Kit</h1>
                        <p>What data passes through, what each link carries, and how that is known.</p>
                    </div>
                    <SheetLink href="/kit/sheet" data-main="">
                        See what fits where
                        <small>every card in every reader</small>
                    </SheetLink>
                </Title>
                {lists.map((list) => (
                    <Sheet
                        key={list.kind}
                        title={list.title}
                        aside={<More href={`/kit/${list.kind}/new`}>Add a {list.one}</More>}
                    >
                        {list.items.length === 0 ? (
                            <p style={{ fontSize: 13 }}>None yet. Add the first.</p>
                        ) : (
                            <List>
                                {list.items.map((item) => (
                                    <Entry key={item.key} kind={list.kind} item={item} />
                                ))}
                            </List>
                        )}
                        {list.kind === 'modes' ? <ModeFiles said={said} /> : null}
                    </Sheet>
                ))}
            </main>
            <MarginLook>
                <h2 style={{ fontSize: 22 }}>Where a ceiling comes from</h2>
                <p style={{ fontSize: 13 }}>
                    <b>Standard</b>: what the link carries on paper. <b>Practice</b>: what the trade sees; no source.{' '}
                    <b>Own measurement</b>: yours, and it wins once it exists. <b>Claim</b>: somebody’s word, not
                    measured.
                </p>
                <p style={{ fontSize: 13 }}>
                    A run on a real card that goes faster than practice says of a link is taken for its measurement. A
                    slower one shows nothing: the card may have been the limit.
                </p>
                <Caution
                    caution={{
                        lead: 'Hot metal.',
                        rest:
                            'Readers under long load can be too hot to hold; let them cool. ' +
                            'The makers’ instructions and your local rules come first.',
                    }}
                />
            </MarginLook>
        </>
    );
}

function Entry({ kind, item }: { kind: string; item: KitItemProps }) {
    return (
        <Item>
            <div>
                <h2>
                    <Link href={`/kit/${kind}/${item.key}`}>
                        <span className="code">{item.tag}</span>
                        {item.name}
                    </Link>
                </h2>
                {item.lines.map((line) => (
                    <p key={line}>{line}</p>
                ))}
                {item.trouble === null ? null : <p className="trouble">{item.trouble}</p>}
            </div>
            <Ceilings ceilings={item.ceilings} />
        </Item>
    );
}
