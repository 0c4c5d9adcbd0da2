<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Models\Offload\OffloadCard;
use Illuminate\Support\ViewErrorBag;

/** Begins offloads by the page, and says what hands did. */
trait CarriesOffloads
{
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

    /** @return array<string, list<string>> field → sentences */
    private function complaints(): array
    {
        $errors = session('errors');
        $complaints = [];
        foreach ($errors instanceof ViewErrorBag ? $errors->getBag('default')->getMessages() : [] as $field => $sentences) {
            $complaints[(string) $field] = array_values(array_filter((array) $sentences, is_string(...)));
        }

        return $complaints;
    }
}
