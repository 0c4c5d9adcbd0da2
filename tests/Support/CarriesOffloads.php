<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Models\Offload\OffloadCard;

/** Begins offloads by the page, and says what hands did. */
trait CarriesOffloads
{
    use Complaints;

    private const BEGIN = ['name' => 'Harbour', 'day' => '2026-11-27', 'pattern' => '{shoot}/{day}/{card}', 'by' => 'Wren'];

    private function in(OffloadCard $card, ?string $found = null): ?string
    {
        $this->post("/offloads/{$card->offload_id}/cards/{$card->id}/in", [
            'by' => 'Wren',
            ...$found === null ? [] : ['found' => $found],
        ])->assertRedirect();
        $said = $this->complaints()['swap'][0] ?? null;
        $this->flushSession();

        return $said;
    }
}
