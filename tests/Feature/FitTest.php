<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Cards\Card;
use App\Models\HouseRule;
use App\Models\Kit\Camera;
use App\Models\Kit\CameraMode;
use App\Models\Shoot\LoggedBurst;
use App\Models\Shoot\StoppedRecording;
use App\Shoot\ModeBook;
use Database\Seeders\DemoCards;
use Database\Seeders\DemoInspections;
use Database\Seeders\DemoModes;
use Database\Seeders\DemoRuns;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Inertia\Testing\AssertableInertia;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Tally\Label\Bus;
use Tally\Quantity\Rate;
use Tally\Shoot\Camera as ShootCamera;
use Tally\Shoot\ModeKind;
use Tally\Shoot\Recording;
use Tests\Support\Complaints;
use Tests\TestCase;

/** Fit: which card may record what, for how long, and what stopped it. */
final class FitTest extends TestCase
{
    use Complaints;

    /** @return array<string, mixed> what is typed for a mode */
    private function typed(): array
    {
        return [
            'camera_id' => (string) $this->camera()->id,
            'name' => '4K 60',
            'kind' => 'long-gop',
            'writes' => '240 Mb/s',
            'records' => 'one-slot',
            'refuses' => '1',
            'calibrations' => [['is_clip' => '0', 'bytes' => '160 GB', 'seconds' => '79 min']],
        ];
    }

    private function camera(): Camera
    {
        $camera = Camera::query()->firstOrCreate(['tag' => 'C7'], ['name' => 'a body', 'recorded_by' => 'test']);
        $camera->slots()->firstOrCreate(['name' => 'A'], ['buses' => [Bus::UhsII]]);

        return $camera;
    }

    public function test_a_mode_is_kept_calibrated_and_copied(): void
    {
        $this->post('/kit/modes', $this->typed())->assertSessionHasNoErrors();
        $mode = CameraMode::query()->sole();
        self::assertSame('270.0', number_format($mode->asMode()->fill->rate->megabits(), 1));
        $this->get('/kit')->assertOk()->assertSee('fills a card at 270.0 Mb');
        $this->get("/kit/modes/new?like={$mode->id}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('form.key', null)
                ->where('form.fields.1.values.0', '4K 60')
                ->where('form.parts.rows.0.id', 0),
        );
        $this->post('/kit/modes', $this->typed())->assertSessionHasErrors('name');
        $stills = ['name' => 'stills', 'writes' => '', 'shot' => '24.6 MB', 'frames' => '0.5', 'calibrations' => []];
        $this->post('/kit/modes', [...$this->typed(), ...$stills])->assertSessionHasNoErrors();
        self::assertSame(ModeKind::Stills, CameraMode::query()->latest('id')->firstOrFail()->kind);
        $state = $this->get("/kit/modes/{$mode->id}")->viewData('page');
        self::assertIsArray($state);
        self::assertIsArray($state['props']);
        $this->put("/kit/modes/{$mode->id}", [...$this->typed(), 'name' => '4K 50', 'state' => $state['props']['state']])
            ->assertSessionHasNoErrors();
        self::assertSame('4K 50', $mode->refresh()->name);
        $this->delete("/kit/modes/{$mode->id}")->assertSessionHasNoErrors();
        self::assertSame(1, CameraMode::query()->count());
    }

    public function test_what_no_mode_can_have_is_told(): void
    {
        foreach ([
            ['writes', '240', 'megabits or megabytes'],
            ['writes', '0 Mb/s', 'zero or less'],
            ['writes', '', 'What it writes is empty'],
            ['writes', '90000 MB/s', 'more than any card carries'],
            ['writes', '240 MB/s', 'looks like megabits read as megabytes'],
            ['frames', '-1', 'above nothing'],
            ['asks_mark', 'V75', 'not one of the list'],
            ['kind', 'film', 'not one of the list'],
            ['name', '', 'has no name'],
            ['camera_id', '0', 'no longer in the kit'],
            ['clip', 'long', 'not a length of time'],
            ['clip', '0.0 s', 'no length'],
        ] as [$field, $typed, $said]) {
            $this->post('/kit/modes', [...$this->typed(), $field => $typed])->assertSessionHasErrors($field);
            self::assertStringContainsString($said, $this->complaints()[$field][0] ?? '', $field);
            $this->flushSession();
        }
        self::assertSame(0, CameraMode::query()->count());
    }

    public function test_the_demo_shows_what_each_criterion_alone_says(): void
    {
        $this->seed([DemoCards::class, DemoRuns::class, DemoInspections::class, DemoModes::class]);
        $this->get('/fit/QS-014')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->component('Fit')
                ->has('modes', 11)
                ->where('criteria.1.may', 3)
                ->where('decides', 'measured')
                ->where('holds', '127.87 GB proven')
                ->where('walls.0.name', 'measured')
                ->where('reasons', fn (mixed $all): bool => str_contains((string) json_encode($all), 'The body drains at 83')),
        );
        // Every criterion says no to a card that another one lets pass.
        $alone = [];
        foreach (CameraMode::query()->get() as $mode) {
            foreach ($this->cards("/fit/modes/{$mode->id}") as $card) {
                self::assertIsArray($card);
                $says = array_column((array) $card['criteria'], 'may', 'criterion');
                foreach ($says as $criterion => $may) {
                    if ($may === false && in_array(true, $says, true)) {
                        $alone[$criterion] = true;
                    }
                }
            }
        }
        ksort($alone);
        self::assertSame(['guaranteed', 'mark', 'measured'], array_keys($alone));
        // Struck out cards never fit.
        foreach (['QS-021', 'QS-025'] as $tag) {
            $this->get("/fit/{$tag}")->assertInertia(
                fn (AssertableInertia $page): AssertableInertia => $page
                    ->where('criteria.0.may', 0)
                    ->where('criteria.1.may', 0)
                    ->where('criteria.2.may', 0)
                    ->where('modes.0.lasts', '–'),
            );
        }
        $this->get('/fit/QS-028')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->where('reasons.0.lead', 'In C2 it was refused.'),
        );
        $this->get('/fit/QS-047')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->has('stops', 2)
                ->where('reasons.0.lead', 'It stopped a recording 2 times.'),
        );
        $this->get('/fit')->assertRedirect();
    }

    /** @return list<mixed> */
    private function cards(string $page): array
    {
        $data = $this->get($page)->viewData('page');
        $cards = is_array($data) && is_array($data['props']) ? $data['props']['cards'] ?? [] : [];

        return array_values((array) json_decode((string) json_encode($cards), true));
    }

    public function test_modes_are_read_out_and_in_again(): void
    {
        $this->seed([DemoCards::class, DemoModes::class]);
        $before = ModeBook::cameras();
        self::assertCount(11, array_merge(...array_map(fn (ShootCamera $camera): array => $camera->modes, $before)));
        foreach (['csv', 'ods', 'json'] as $format) {
            $answer = $this->get("/export/modes.{$format}")->assertOk();
            $content = $answer->baseResponse instanceof BinaryFileResponse
                ? (string) file_get_contents($answer->baseResponse->getFile()->getPathname())
                : (string) $answer->getContent();
            CameraMode::query()->delete();
            $this->post('/kit/modes/file', ['modes' => UploadedFile::fake()->createWithContent("modes.{$format}", $content)])
                ->assertSessionHasNoErrors();
            self::assertEquals($before, ModeBook::cameras(), $format);
        }
        // A camera that is not known comes with its slots; of a table with one wrong row nothing is taken.
        $table = "Camera,Slots,Mode,Writes\nC8,A: UHS-II,4K,200 Mb/s\n";
        $this->post('/kit/modes/file', ['modes' => UploadedFile::fake()->createWithContent('m.csv', "{$table}C8,A: UHS-II,6K,240")]);
        self::assertStringContainsString('row 3', $this->complaints()['modes'][0] ?? '');
        self::assertFalse(Camera::query()->where('tag', 'C8')->exists());
        $this->flushSession();
        $this->post('/kit/modes/file', ['modes' => UploadedFile::fake()->createWithContent('m.csv', $table)])->assertSessionHasNoErrors();
        self::assertCount(1, Camera::query()->with('modes')->where('tag', 'C8')->firstOrFail()->modes);
        $this->get('/kit')->assertInertia(fn (AssertableInertia $page): AssertableInertia => $page->where('said', 'One mode was taken.'));
        $long = str_repeat('x', 81);
        $wrong = ["C8,A: UHS-II,{$long},200 Mb/s", 'C 8!,A: UHS-II,6K,200 Mb/s', 'C8,A: UHS-II,,200 Mb/s', 'C8,A: UHS-II,4K,200 Mb/s'];
        foreach ($wrong as $row) {
            $file = UploadedFile::fake()->createWithContent('m.csv', "{$table}{$row}");
            $this->post('/kit/modes/file', ['modes' => $file])->assertRedirect()->assertSessionHasErrors('modes');
            $this->flushSession();
        }
        self::assertCount(1, Camera::query()->with('modes')->where('tag', 'C8')->firstOrFail()->modes);
        foreach (['Card,Mode' => 'there is no column', '{"format": 1}' => 'format', '' => ''] as $content => $said) {
            $this->post('/kit/modes/file', ['modes' => UploadedFile::fake()->createWithContent('m.csv', $content)]);
            self::assertStringContainsString($said, $this->complaints()['modes'][0] ?? 'nothing said');
            $this->flushSession();
        }
    }

    public function test_label_words_alone_are_enough_to_ask(): void
    {
        $this->post('/kit/modes', $this->typed())->assertSessionHasNoErrors();
        $this->get('/fit/label?words=128GB+SDXC+II+V60')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('card', null)
                ->where('modes.0.may', true)
                ->where('modes.0.words', 'Unproven')
                ->where('modes.0.lasts', '~63 min')
                ->where('modes.0.least', 'V60'),
        );
        $this->get('/fit/label?words=128GB+SDXC+I+V30')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('modes.0.may', false)
                ->where('modes.0.words', 'promises 30 MB/s'),
        );
        $this->get('/fit/label?words[]=V60')->assertOk();
        $this->get('/fit/label?words=hello')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->has('modes', 0)
                ->where('complaint', fn (string $said): bool => $said !== ''),
        );
    }

    public function test_bursts_and_stops_are_logged_with_a_name(): void
    {
        $card = $this->card(['tag' => 'T-1']);
        $camera = $this->camera();
        $counted = ['frames' => 12, 'frame' => '24.6 MB', 'per_second' => '10', 'clear' => '23 s'];
        $burst = [...$counted, 'camera_id' => $camera->id, 'by' => 'Wren'];
        $this->post('/cards/T-1/bursts', $burst)->assertSessionHasNoErrors();
        self::assertSame('12.2 MB/s', LoggedBurst::query()->sole()->asBurst()->drain->print());
        $wrong = ['frames' => 0, 'frame' => '0 B', 'per_second' => '0', 'clear' => '0.0 s', 'by' => '', 'camera_id' => 0];
        foreach ($wrong as $field => $typed) {
            $this->post('/cards/T-1/bursts', [...$burst, $field => $typed])->assertSessionHasErrors($field);
        }
        self::assertSame(1, LoggedBurst::query()->count());
        $stop = ['camera_id' => $camera->id, 'cause' => 'heat', 'after' => '22 min', 'by' => 'Wren'];
        $this->post('/cards/T-1/stops', $stop)->assertSessionHasNoErrors();
        $this->post('/cards/T-1/stops', [...$stop, 'cause' => 'ghosts'])->assertSessionHasErrors('cause');
        $this->post('/kit/modes', $this->typed());
        $mode = CameraMode::query()->sole();
        $this->post('/cards/T-1/stops', [...$stop, 'mode_id' => $mode->id])->assertSessionHasNoErrors();
        self::assertSame($mode->id, StoppedRecording::query()->latest('id')->firstOrFail()->camera_mode_id);
        $other = Camera::query()->where('tag', 'C1')->valueOrFail('id');
        $this->post('/cards/T-1/stops', [...$stop, 'camera_id' => $other, 'mode_id' => $mode->id])->assertSessionHasErrors('mode_id');
        $leads = fn (): string => (string) json_encode($this->reasons($card));
        // A camera that stops from heat is not held against the card.
        self::assertStringNotContainsString('It stopped a recording', $leads());
        $this->post('/cards/T-1/stops', [...$stop, 'cause' => 'card'])->assertSessionHasNoErrors();
        self::assertStringContainsString('It stopped a recording once', $leads());
        $this->post('/cards/T-1/stops', [...$stop, 'cause' => 'card'])->assertSessionHasNoErrors();
        self::assertStringContainsString('It stopped a recording 2 times', $leads());
        // It stands in its evidence from now on.
        $this->get('/inspect/T-1')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->where(
                'margin.reasons',
                fn (mixed $all): bool => str_contains((string) json_encode($all), 'It stopped a recording 2 times'),
            ),
        );
    }

    public function test_what_a_body_said_of_a_card_is_kept_with_firmware_and_day(): void
    {
        $card = $this->card(['tag' => 'T-1']);
        $said = ['answer' => 'refused', 'firmware' => '2.1', 'tried_on' => '2026-11-24'];
        $trial = [...$said, 'camera_id' => $this->camera()->id, 'by' => 'Wren'];
        $this->post('/cards/T-1/bodies', $trial)->assertSessionHasNoErrors();
        self::assertStringContainsString('was refused, firmware 2.1, 24 Nov 2026', (string) json_encode($this->reasons($card)));
        $this->get('/kit/sheet/T-1')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->where(
                'bodies.rows.0.cells',
                fn (mixed $cells): bool => str_contains((string) json_encode($cells), 'was refused, firmware 2.1'),
            ),
        );
        // The next firmware takes it.
        $this->post('/cards/T-1/bodies', [...$trial, 'answer' => 'took', 'firmware' => '2.2'])->assertSessionHasNoErrors();
        self::assertStringNotContainsString('refused', (string) json_encode($this->reasons($card)));
        foreach (['answer' => 'maybe', 'tried_on' => 'soon', 'by' => '', 'camera_id' => 0] as $field => $typed) {
            $this->post('/cards/T-1/bodies', [...$trial, $field => $typed])->assertSessionHasErrors($field);
        }
        $this->get('/kit/sheet')->assertOk();
    }

    private function reasons(Card $card): mixed
    {
        $data = $this->get("/fit/{$card->tag}")->viewData('page');

        return is_array($data) && is_array($data['props']) ? $data['props']['reasons'] ?? null : null;
    }

    public function test_the_house_chooses_its_criterion_and_its_margin(): void
    {
        $this->card(['tag' => 'T-1']);
        $this->post('/kit/modes', $this->typed())->assertSessionHasNoErrors();
        $this->put('/fit/rules', ['criterion' => 'mark', 'spare' => '1.5', 'usable' => '0.95'])->assertSessionHasNoErrors();
        self::assertSame(3, HouseRule::query()->count());
        $this->get('/fit/T-1')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('decides', 'mark')
                ->where('spare', '1.5')
                ->where('usable', '0.95'),
        );
        foreach (['criterion' => 'luck', 'spare' => '9', 'usable' => '0'] as $field => $typed) {
            $good = ['criterion' => 'mark', 'spare' => '1.5', 'usable' => '0.95'];
            $this->put('/fit/rules', [...$good, $field => $typed])->assertSessionHasErrors($field);
        }
    }

    public function test_hundreds_of_cards_and_modes_ask_no_more_of_the_books(): void
    {
        $camera = $this->camera();
        $add = function (int $from, int $to) use ($camera): void {
            for ($i = $from; $i <= $to; $i++) {
                CameraMode::query()->create([
                    'camera_id' => $camera->id,
                    'name' => "mode {$i}",
                    'kind' => ModeKind::Raw,
                    'writes' => Rate::megabitsPerSecond(50 * $i),
                    'records' => Recording::OneSlot,
                ]);
                $this->card(['tag' => sprintf('T-%02d', $i)]);
            }
        };
        $add(1, 2);
        $few = $this->questions();
        $add(3, 40);
        self::assertSame($few, $this->questions());
    }

    /** @return array{int, int} asked of the books by the page of a card, and by that of a mode */
    private function questions(): array
    {
        $counts = [];
        $mode = CameraMode::query()->firstOrFail();
        foreach (['/fit/T-01', "/fit/modes/{$mode->id}"] as $path) {
            $this->get($path)->assertOk();
            DB::flushQueryLog();
            DB::enableQueryLog();
            $this->get($path)->assertOk();
            $counts[] = count(DB::getQueryLog());
            DB::disableQueryLog();
        }

        return [$counts[0], $counts[1]];
    }
}
