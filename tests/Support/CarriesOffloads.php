<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Models\Offload\OffloadCard;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;

/** Begins offloads by the page, and says what hands did. */
trait CarriesOffloads
{
    use Complaints;

    private const BEGIN = ['name' => 'Harbour', 'day' => '2026-11-27', 'pattern' => '{shoot}/{day}/{card}', 'by' => 'Wren'];

    /**
     * @param  array<mixed>  $asked  as the address of the page says
     * @return string the key of the plan that the page shows; empty where it shows none
     */
    private function shownPlan(array $asked = []): string
    {
        $key = data_get($this->get('/offload?'.http_build_query($asked))->viewData('page'), 'props.planKey');

        return is_string($key) ? $key : '';
    }

    /**
     * Begins what the page shows.
     *
     * @param  array<string, mixed>  $more
     * @return TestResponse<Response>
     */
    private function begin(array $more = []): TestResponse
    {
        return $this->post('/offloads', [...self::BEGIN, 'plan' => $this->shownPlan(), ...$more]);
    }

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
