<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Models\Offload\Offload;
use Illuminate\Support\Facades\Artisan;

/** Cards and drives on file systems of their own, and offloads of them that a worker carries out. */
trait RealGear
{
    use CarriesOffloads;
    use LoopMount;

    /** @var list<string> where the drives of the offload are mounted, in the order of their copies */
    private array $drives = [];

    /** @return string where a medium with these files is mounted */
    private function medium(string $name, int $files = 3, int $bytes = 60_000, string $kind = 'ext4'): string
    {
        $point = $this->mounted($kind, 24);
        @rmdir("{$point}/lost+found");
        @mkdir("{$point}/DCIM");
        for ($i = 1; $i <= $files; $i++) {
            file_put_contents("{$point}/DCIM/{$name}-{$i}.mov", random_bytes(max(1, $bytes)));
        }

        return $point;
    }

    /** Says what is on a card, by the page. */
    private function marked(string $tag, string $footage, int $files = 0): void
    {
        $said = ['footage' => $footage, 'files' => (string) $files, 'by' => 'Wren'];
        $this->post("/cards/{$tag}/footage", $said)->assertSessionHasNoErrors();
    }

    /** A real card of this house with as much footage on it as lies in its slot. */
    private function realCard(string $tag, int $files = 3, int $bytes = 60_000): void
    {
        $this->card(['tag' => $tag, 'stand_in' => null]);
        $this->marked($tag, $files * $bytes.' B', $files);
    }

    /**
     * Begins an offload of all cards with footage onto real drives, which are made for it.
     *
     * @param  array<string, string>  $slots  tag → where that card is mounted
     * @param  list<string>  $drives  where drives are mounted; others are made
     * @param  array<string, mixed>  $rules  as the address of the page says
     */
    private function begunOn(array $slots, array $drives = [], array $rules = []): Offload
    {
        config(['tally.folders' => ['/tmp'], 'tally.plain_folders' => []]);
        $plan = $this->shownPlan($rules);
        $shown = $this->get('/offload?'.http_build_query($rules))->viewData('page');
        $places = ['slots' => [], 'drives' => []];
        foreach ((array) data_get($shown, 'props.plan.cards') as $card) {
            $places['slots'][self::text(data_get($card, 'slot'))] = $slots[self::text(data_get($card, 'tag'))];
            foreach ((array) data_get($card, 'drives') as $drive) {
                $places['drives'][self::text($drive)] ??= array_shift($drives) ?? $this->mounted('ext4', 32);
            }
        }
        $this->drives = array_values($places['drives']);
        $this->post('/offloads', [...self::BEGIN, 'plan' => $plan, 'real' => '1', ...$places])->assertSessionHasNoErrors();

        return Offload::query()->latest('id')->firstOrFail();
    }

    private static function text(mixed $value): string
    {
        return is_string($value) ? $value : self::fail('This is no text.');
    }

    /** Its worker does all that waits. */
    private function work(Offload $offload): void
    {
        Artisan::call('queue:work', [
            '--queue' => $offload->station->offloadQueue(),
            '--stop-when-empty' => true,
            '--sleep' => 0,
            // A worker that finds itself large leaves the rest to the next one; here there is none.
            '--memory' => 2048,
        ]);
        $offload->refresh();
    }
}
