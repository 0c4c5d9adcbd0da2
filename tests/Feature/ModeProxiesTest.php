<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Kit\KitKind;
use App\Models\Kit\Camera;
use App\Models\Kit\CameraMode;
use App\Shoot\ModeBook;
use App\Shoot\ModeTable;
use Illuminate\Http\UploadedFile;
use Tally\Label\Bus;
use Tally\Shoot\Written\WrittenCamera;
use Tally\Value\Values;
use Tests\Support\Complaints;
use Tests\Support\TemporaryFolder;
use Tests\TestCase;

/** What proxies of a mode write: typed in the kit, and read in and out with it. */
final class ModeProxiesTest extends TestCase
{
    use Complaints;
    use TemporaryFolder;

    private Camera $camera;

    protected function setUp(): void
    {
        parent::setUp();
        $this->camera = Camera::query()->create(['tag' => 'C8', 'name' => 'a body with two slots', 'recorded_by' => 'test']);
        foreach (['A', 'B'] as $slot) {
            $this->camera->slots()->create(['name' => $slot, 'buses' => [Bus::UhsII]]);
        }
    }

    /**
     * @param  array<string, string>  $more
     * @return array<string, mixed>
     */
    private function typed(array $more = []): array
    {
        return [
            'camera_id' => (string) $this->camera->id,
            'name' => '4K with proxies',
            'kind' => 'long-gop',
            'writes' => '200 Mb/s',
            'records' => 'proxies',
            'proxy_writes' => '16 Mb/s',
            'refuses' => '1',
            ...$more,
        ];
    }

    private function mode(): CameraMode
    {
        return CameraMode::query()->with(['calibrations'])->where('camera_id', $this->camera->id)->sole();
    }

    /** @param  array<string, string>  $typed */
    private function correct(array $typed): void
    {
        $id = (string) $this->mode()->id;
        $state = KitKind::Modes->section()->form($id)?->state() ?? '';
        $this->put("/kit/modes/{$id}", $this->typed([...$typed, 'state' => $state]))->assertSessionHasNoErrors();
    }

    public function test_it_is_kept_shown_again_and_changed(): void
    {
        $this->post('/kit/modes', $this->typed())->assertSessionHasNoErrors();
        self::assertEqualsWithDelta(2.0, $this->mode()->asMode()->proxies?->megabytes(), 1e-9);
        self::assertEqualsWithDelta(2.0, $this->mode()->asMode()->ofProxies()?->fill->rate->megabytes(), 1e-9);
        $this->get("/kit/modes/{$this->mode()->id}")->assertSee('16 Mb\/s', false);
        $this->correct(['proxy_writes' => '8 Mb/s']);
        self::assertEqualsWithDelta(1.0, $this->mode()->asMode()->proxies?->megabytes(), 1e-9);
        $this->correct(['records' => 'relay', 'proxy_writes' => '']);
        self::assertNull($this->mode()->asMode()->proxies);
        self::assertNull($this->mode()->asMode()->ofProxies());
    }

    public function test_a_bare_number_and_what_is_no_rate_are_refused(): void
    {
        foreach (['16', 'slow', '0 Mb/s'] as $given) {
            $this->post('/kit/modes', $this->typed(['proxy_writes' => $given]));
            self::assertArrayHasKey('proxy_writes', $this->complaints(), $given);
        }
        self::assertSame(0, CameraMode::query()->where('camera_id', $this->camera->id)->count());
    }

    public function test_it_goes_out_and_comes_in_with_tables_and_files(): void
    {
        $this->post('/kit/modes', $this->typed())->assertSessionHasNoErrors();
        $cameras = array_values(array_filter(ModeBook::cameras(), fn ($camera): bool => $camera->tag === 'C8'));
        $rows = ModeTable::rows($cameras);
        self::assertContains('Proxies write', $rows[0]);
        self::assertEquals($cameras, ModeTable::read($rows));
        self::assertSame('16 Mb/s', self::megabits(Values::write(WrittenCamera::of($cameras[0]))));
        $path = "{$this->folder()}/modes.csv";
        $file = fopen($path, 'w');
        self::assertNotFalse($file);
        foreach ($rows as $row) {
            fputcsv($file, array_map(fn (string $cell): string => str_replace('4K with proxies', 'another', $cell), $row), ',', '"', '');
        }
        fclose($file);
        $this->post('/kit/modes/file', ['modes' => new UploadedFile($path, 'modes.csv', test: true)])->assertSessionHasNoErrors();
        $other = CameraMode::query()->where('name', 'another')->sole();
        self::assertEqualsWithDelta(2e6, $other->proxy_writes?->bytesPerSecond, 1e-6);
    }

    /** @param  array<string, mixed>  $camera */
    private static function megabits(array $camera): string
    {
        $writes = data_get($camera, 'modes.0.proxies');
        self::assertIsString($writes);

        return str_contains($writes, 'MB') ? ((float) $writes * 8).' Mb/s' : $writes;
    }
}
