import { Head, Link, router } from '@inertiajs/react';
import { PackedLanes } from '../charts/PackedLanes';
import { Caution, MarginLook } from '../frame/Margin';
import { Button } from '../parts/Button';
import { Sheet, Title } from '../parts/Sheet';
import { Evenings } from '../shoot/Evenings';
import { PackedTable } from '../shoot/PackedTable';
import type { KeptShootPage } from '../types/generated/props';

/** A whole shoot as it was kept: which cards went where, and what came home each evening. */
export default function KeptShoot({ id, name, when, made, packed }: KeptShootPage) {
    return (
        <>
            <Head title={name} />
            <main>
                <Title>
                    <div>
                        <h1>{name}</h1>
                        <p>
                            {when} · {made} ·{' '}
                            <Link href="/fit/shoot" style={{ color: 'inherit' }}>
                                plan another
                            </Link>
                        </p>
                    </div>
                    <p style={{ flex: 'none', lineHeight: 1.7 }}>
                        <a href={`/fit/shoots/${id}/packing.pdf`}>Packing list (PDF)</a>
                        <br />
                        <a href={`/fit/shoots/${id}/packing.xlsx`}>as a table (XLSX)</a>
                    </p>
                </Title>
                <Sheet title="Packed" caption="what the cards of each place hold, of what it needs" aside="by the card">
                    <PackedLanes places={packed.places} />
                </Sheet>
                <PackedTable places={packed.places} />
                <Evenings evenings={packed.evenings} />
            </main>
            <MarginLook>
                <h2 style={{ fontSize: 22 }}>As it was kept</h2>
                <p>With the rates and proofs of its day.</p>
                <Caution
                    caution={{
                        lead: 'A full card is footage.',
                        rest: 'Clear it only when two copies on two drives have been read back.',
                    }}
                />
                <Button
                    quiet
                    onPress={() => {
                        router.delete(`/fit/shoots/${id}`);
                    }}
                >
                    Drop this shoot
                </Button>
            </MarginLook>
        </>
    );
}
