<?php

declare(strict_types=1);

namespace Tools\Trial;

use App\Intake\CardBook;
use App\Models\Cards\Card;
use App\Models\Cards\Photo;
use App\Models\People\Role;
use App\People\PeopleBook;
use Database\Seeders\DemoGear;
use Symfony\Component\Process\Process;

/** Books with so many bytes of photos, on a database of their own, backed up and restored by processes of their own. */
final class PhotosTrial
{
    private const PHOTO = 2 << 20;

    private readonly ScratchDatabase $database;

    public function __construct(string $folder)
    {
        $this->database = new ScratchDatabase("{$folder}/books");
    }

    /** @return int bytes of photos */
    public function begin(int $megabytes): int
    {
        $this->database->begin();
        (new DemoGear())->run();
        PeopleBook::enter('Wren', Role::Lead, 'twelve gritty letters');
        $photos = max(2, intdiv($megabytes << 20, self::PHOTO));
        for ($i = 0; $i < $photos; $i += 2) {
            $tag = sprintf('H-%05d', $i);
            $label = ['tag' => $tag, 'name' => 'Made up', 'form' => 'sd', 'capacity' => 64_000_000_000, 'marks' => [], 'footage' => 0];
            CardBook::enter([$label], 'the trial');
            $card = Card::query()->where('tag', $tag)->firstOrFail();
            foreach (Photo::SIDES as $side) {
                Photo::query()->create([
                    'card_id' => $card->id,
                    'side' => $side,
                    'jpeg' => random_bytes(self::PHOTO),
                    'width' => 10,
                    'height' => 10,
                    'recorded_by' => 'the trial',
                ]);
            }
        }

        return $photos * self::PHOTO;
    }

    public function end(): void
    {
        $this->database->end();
    }

    /** @return array{int, float, float} exit code, seconds, and the most memory that any process of it took by then, in MB */
    public function run(string ...$command): array
    {
        $began = hrtime(true);
        $process = new Process([PHP_BINARY, base_path('artisan'), ...$command], base_path(), $this->database->env(), timeout: null);
        $code = $process->run();

        $used = getrusage(1);

        return [$code, (hrtime(true) - $began) / 1e9, is_array($used) && is_int($used['ru_maxrss']) ? $used['ru_maxrss'] / 1024 : 0.0];
    }
}
