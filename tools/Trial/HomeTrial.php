<?php

declare(strict_types=1);

namespace Tools\Trial;

use App\Intake\FootageBook;
use App\Models\Cards\Card;
use App\Models\Offload\CopyState;
use App\Models\Offload\Offload;
use App\Models\Offload\OffloadCard;
use App\Models\Offload\OffloadState;
use App\Models\Offload\WhyRefused;
use App\Models\Stations\Station;
use App\Offload\BooksQuestion;
use App\Offload\Carrying\Clearing;
use App\Offload\Carrying\ConfirmSwap;
use App\Offload\Carrying\OffloadStart;
use App\Offload\Carrying\RealCopies;
use App\Offload\Carrying\SecondTry;
use App\Offload\Carrying\Secured;
use Closure;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Random\Randomizer;
use Tally\Offload\Plan;
use Tally\Offload\Question\Rules;
use Tally\Offload\Question\Scheme;
use Tally\Quantity\Bytes;

/**
 * Cards on real mounts come home to real drives by real workers, and at a random moment something goes wrong. Whatever that is: what is
 * called secured lies on two drives, byte for byte, and nothing that was not is cleared. Held against the files themselves.
 */
final class HomeTrial
{
    private const CARD = 64;

    private const DRIVE = 160;

    /** Seconds until all that goes has ended. */
    private const PATIENCE = 40;

    private readonly Place $slot;

    private readonly Place $other;

    /** @var list<Place> */
    private readonly array $drives;

    private int $count = 0;

    /** @var array<string, string> path on the card → checksum, of what is to come home */
    private array $footage = [];

    public function __construct(
        private readonly string $folder,
        private readonly Randomizer $chance,
        private readonly TrialStation $station,
    ) {
        $this->slot = new Place("{$folder}/own.img", self::CARD, "{$folder}/reader");
        $this->other = new Place("{$folder}/other.img", self::CARD, "{$folder}/other");
        $this->drives = [
            new Place("{$folder}/one.img", self::DRIVE, "{$folder}/one"),
            new Place("{$folder}/two.img", self::DRIVE, "{$folder}/two"),
        ];
        $this->fill($this->other, 'other');
    }

    public function round(): Round
    {
        $mishap = Mishap::cases()[$this->chance->getInt(0, count(Mishap::cases()) - 1)];
        $scheme = [Scheme::Straight, Scheme::FanOut, Scheme::Relay][$this->chance->getInt(0, 2)];
        foreach ($this->drives as $place) {
            Shell::must("rm -rf {$place->point}/*");
        }
        // Another card has another file system.
        $this->slot->format();
        $card = $this->card();
        $offload = $this->begun($card, $scheme);
        $faults = $this->carried($offload, $card, $mishap);
        $faults = [...$faults, ...$this->afterwards($offload, $card, $mishap)];
        $state = $offload->refresh()->state->value;
        Offload::query()->whereKey($offload->id)->update(['state' => OffloadState::Ended]);

        return new Round("offload, {$scheme->value}", $mishap->value, $state, array_values(array_unique($faults)));
    }

    public function end(): void
    {
        Date::setTestNow();
        foreach ([$this->slot, $this->other, ...$this->drives] as $place) {
            $place->remove();
        }
    }

    private function fill(Place $place, string $name): void
    {
        Shell::must("mkdir -p {$place->point}/DCIM");
        for ($i = 1; $i <= $this->chance->getInt(3, 8); $i++) {
            file_put_contents("{$place->point}/DCIM/{$name}-{$i}.mov", random_bytes($this->chance->getInt(100_000, 4_000_000)));
        }
        Shell::must('sync');
    }

    private function card(): Card
    {
        $card = Card::query()
            ->create([
                'tag' => 'H-'.++$this->count,
                'name' => 'comes home',
                'form' => 'sd',
                'capacity' => self::CARD << 20,
                'family' => 'SD',
                'marks' => [],
            ])
            ->refresh();
        $this->fill($this->slot, $card->tag);
        $this->mark($card);

        return $card;
    }

    /** Somebody says what is on it: all that is there now. */
    private function mark(Card $card): void
    {
        $this->footage = self::sums("{$this->slot->point}");
        $bytes = array_sum(array_map(fn (string $path): int => (int) filesize($path), array_keys($this->footage)));
        FootageBook::carries($card->refresh(), Bytes::of($bytes), 'the trial', count($this->footage));
    }

    private function begun(Card $card, Scheme $scheme): Offload
    {
        $asked = BooksQuestion::of((new Collection([$card->refresh()]))->toBase(), new Rules(scheme: $scheme));
        $plan = Plan::of($asked->question);
        [$placed] = $plan->decision->cards;

        return OffloadStart::of(
            $plan,
            $asked->rates,
            Station::mustBeHere(),
            "trial {$this->count}",
            folders: [$card->tag => "Trial/{$card->tag}"],
            places: [
                'slots' => [$placed->slot => (string) $this->slot->point],
                'drives' => array_combine($placed->drives, array_map(fn (Place $one): string => (string) $one->point, $this->drives)),
            ],
            pace: 1.0,
            by: 'the trial',
        );
    }

    /** @return list<string> */
    private function carried(Offload $offload, Card $card, Mishap $mishap): array
    {
        $faults = [];
        if ($mishap === Mishap::Relinked) {
            $this->lead(1, $this->drives[0]);
        }
        if ($mishap === Mishap::WrongBefore) {
            $this->swap($this->other);
            $this->isIn($offload);
            $faults = $this->lookedAt($card);
            $this->settled($offload);
            $this->swap($this->slot);
        }
        $this->isIn($offload);
        $this->wait($this->chance->getInt(0, 700) / 1000);
        match ($mishap) {
            Mishap::Killed => $this->station->kill(),
            Mishap::WrongBetween => $this->between($offload, fn () => $this->swap($this->other)),
            Mishap::WrongAfterDeath => $this->swapDead(),
            Mishap::Grows => $this->grow($offload),
            Mishap::MarkedBetween, Mishap::ClockBack, Mishap::ClockAhead => $this->between(
                $offload,
                fn () => $this->markNew($card, $mishap),
            ),
            default => null,
        };
        $this->settled($offload);

        return [...$faults, ...$this->lookedAt($card)];
    }

    /** @return list<string> */
    private function afterwards(Offload $offload, Card $card, Mishap $mishap): array
    {
        $faults = [];
        if ($mishap === Mishap::WrongAgain) {
            // One copy failed, somebody put another card in, and presses once more.
            $offload->cards()->firstOrFail()->copies()->where('nth', 2)->update(['state' => CopyState::Failed, 'message' => 'a trial']);
            RealCopies::follow($offload->refresh());
            $this->swap($this->other);
            $this->again($offload);
            $faults = $this->lookedAt($card);
        }
        $this->swap($this->slot);
        $this->lead(1, $this->drives[1]);
        for ($tries = 0; $tries < 3 && ! $mishap->isMarked() && Secured::of($card->refresh()) === null; $tries++) {
            $this->isIn($offload, $mishap === Mishap::Grows);
            $this->again($offload);
        }
        if (! $mishap->isMarked() && Secured::of($card->refresh()) === null) {
            $why = $offload->cards()->firstOrFail()->copies()->pluck('message')->implode(' / ');
            $faults[] = "lost: never came home ({$why})";
        }
        $faults = [...$faults, ...$this->lookedAt($card)];
        $files = glob("{$this->drives[0]->point}/Trial/{$card->tag}/DCIM/*.mov");
        if ($files !== [] && $files !== false) {
            match ($mishap) {
                Mishap::Altered => $this->alter($files[0]),
                Mishap::Deleted => unlink($files[0]),
                default => null,
            };
        }

        return [...$faults, ...$this->cleared($card)];
    }

    /**
     * Somebody says that the card may be cleared, and gives no reason.
     *
     * @return list<string>
     */
    private function cleared(Card $card): array
    {
        $isHome = $this->isHome();
        try {
            Clearing::of($card->refresh(), 'the trial', '');

            return $isHome ? [] : ["may-be-cleared: {$card->tag} was cleared, and lies on fewer than two drives"];
        } catch (ValidationException) {
            return $this->lookedAt($card);
        }
    }

    /**
     * What the books say, held against the files.
     *
     * @return list<string>
     */
    private function lookedAt(Card $card): array
    {
        $faults = [];
        if (Secured::of($card->refresh()) !== null && ! $this->isHome()) {
            $faults[] = "secured: {$card->tag} lies on fewer than two drives";
        }
        foreach ($this->footage as $path => $sum) {
            // The card itself, wherever it is mounted now.
            $there = is_file($path) ? $path : str_replace((string) $this->slot->point, (string) $this->other->point, $path);
            if (is_file($there) && hash_file('xxh128', $there) !== $sum) {
                $faults[] = 'erased: '.basename($path);
            }
        }

        return $faults;
    }

    /** Whether all of the footage lies on both drives, as it was when it was marked last. */
    private function isHome(): bool
    {
        foreach ($this->drives as $drive) {
            // The device itself, whatever leads to its folder just now.
            $at = "{$this->folder}/truth";
            Shell::must("mkdir -p {$at} && mount {$drive->loop} {$at}");
            try {
                $missing = array_diff($this->footage, self::sums($at));
            } finally {
                Shell::must("umount {$at}");
            }
            if ($missing !== []) {
                return false;
            }
        }

        return true;
    }

    /** @return array<string, string> path → checksum */
    private static function sums(string $folder): array
    {
        $sums = [];
        foreach (explode("\n", Shell::must("find {$folder} -type f -name '*.mov'")) as $path) {
            if ($path !== '') {
                $sums[$path] = (string) hash_file('xxh128', $path);
            }
        }

        return $sums;
    }

    /** Another medium is mounted where the slot is. */
    private function swap(Place $place): void
    {
        Shell::may("umount -l {$this->slot->point}");
        Shell::must("mount {$place->loop} {$this->slot->point}");
    }

    /** The folder of a drive leads to that drive, or to another. */
    private function lead(int $drive, Place $to): void
    {
        $point = $this->drives[$drive]->point;
        Shell::may("umount -l {$point}");
        Shell::must("mount {$to->loop} {$point}");
    }

    private function swapDead(): void
    {
        $this->station->kill();
        $this->swap($this->other);
    }

    private function grow(Offload $offload): void
    {
        $path = array_key_first($this->footage);
        /** @phpstan-impure */
        $going = fn (Offload $offload): bool => $this->only($offload)->copies->contains(
            fn ($copy): bool => in_array($copy->state, [CopyState::Ordered, CopyState::Copying], true),
        );
        if ($path === null || ! is_file($path) || ! $going($offload)) {
            return;
        }
        [$bytes, $changed] = [(int) filesize($path), (int) filemtime($path)];
        file_put_contents($path, random_bytes(200_000), FILE_APPEND);
        clearstatcache();
        if ($going($offload->refresh())) {
            $this->footage[$path] = (string) hash_file('xxh128', $path);

            return;
        }
        // It was all over: what a camera writes after that is marked, and nobody marked it here.
        $file = fopen($path, 'r+b');
        if ($file !== false) {
            ftruncate($file, $bytes);
            fclose($file);
            touch($path, $changed);
        }
    }

    /** The card is back in the camera, new clips are recorded, and somebody says so. */
    private function markNew(Card $card, Mishap $mishap): void
    {
        file_put_contents("{$this->slot->point}/DCIM/new-{$card->tag}.mov", random_bytes(300_000));
        $clock = match ($mishap) {
            Mishap::ClockBack => now()->subHour(),
            Mishap::ClockAhead => now()->addHour(),
            default => null,
        };
        Date::setTestNow($clock);
        $this->mark($card);
        Date::setTestNow();
    }

    /** @param  Closure(): void  $do  once the first copy is right, or nothing goes any more */
    private function between(Offload $offload, Closure $do): void
    {
        for ($end = hrtime(true) + self::PATIENCE * 1e9; hrtime(true) < $end; $this->wait(0.02)) {
            $copies = $this->only($offload)->copies;
            if ($copies->first()?->state === CopyState::Verified || ! $copies->contains(fn ($copy): bool => $copy->state->isGoing())) {
                break;
            }
        }
        $do();
    }

    private function alter(string $path): void
    {
        $file = fopen($path, 'r+b');
        if ($file !== false) {
            fseek($file, intdiv((int) filesize($path), 2));
            fwrite($file, random_bytes(1) ^ "\x01");
            fwrite($file, '!altered!');
            fclose($file);
        }
    }

    private function isIn(Offload $offload, bool $isSaid = false): void
    {
        try {
            $card = $this->only($offload->refresh());
            $card->setRelation('offload', $offload->load('station', 'cards.card', 'cards.copies'));
            // Whoever is told that there is more on it than was marked looks, and says that it is the card.
            ConfirmSwap::isIn($card, null, 'the trial', $isSaid);
        } catch (ValidationException) {
            // It says what is wrong; that is what it is for.
        }
    }

    private function again(Offload $offload): void
    {
        try {
            SecondTry::again($offload->refresh()->load('station'));
        } catch (ValidationException) {
            // Another card lies there, or it was written to.
        }
        $this->settled($offload);
        try {
            if ($this->only($offload)->refused_for === WhyRefused::Grown) {
                SecondTry::fromTheBeginning($this->only($offload), 'the trial');
            }
        } catch (ValidationException) {
            // It is asked for, and somebody says that more is on it than was marked.
        }
        $this->settled($offload);
    }

    private function only(Offload $offload): OffloadCard
    {
        return $offload->cards()->with(['copies', 'card'])->firstOrFail();
    }

    /** Until nothing of it goes any more. */
    private function settled(Offload $offload): void
    {
        for ($end = hrtime(true) + self::PATIENCE * 1e9; hrtime(true) < $end; $this->wait(0.1)) {
            DB::table('jobs')
                ->where('reserved_at', '<', now()->subSeconds(5)->getTimestamp())
                ->update(['reserved_at' => null]);
            if (! $this->only($offload)->copies->contains(fn ($copy): bool => $copy->state->isGoing())) {
                return;
            }
        }
    }

    private function wait(float $seconds): void
    {
        for ($end = hrtime(true) + $seconds * 1e9; hrtime(true) < $end; usleep(20_000)) {
            $this->station->keep();
        }
    }
}
