<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Http\RefusedByBooks;
use App\Models\Cards\Card;
use App\Shoot\ModeBook;
use Database\Seeders\DemoCards;
use Database\Seeders\DemoModes;
use Database\Seeders\DemoRuns;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\ViewErrorBag;
use PDOException;
use PHPUnit\Framework\Attributes\TestWith;
use Tally\Label\Bus;
use Tally\Shoot\Camera;
use Tally\Shoot\CameraSlot;
use Tally\Value\NotUsable;
use Tests\TestCase;

/** Figures, dates and texts beyond all measure, at every address that takes something: a sentence, and never a fault. */
final class ExtremesTest extends TestCase
{
    /** What is given in the place of every field at once. */
    private const EXTREMES = [
        '9223372036854775807', '-9223372036854775808', '1e999', '-1e308', '0', 'NaN', '9999-12-31 23:59:59', '0000-00-00', '99999999 TB',
        '1e999 MB/s', '9999-12-31', "\u{1F5FF}", '999999999999999 h', '10675199.02:48:05',
    ];

    private const ROUNDS = 4;

    /** @return list<string> names of all fields that any request asks for */
    private static function fields(): array
    {
        $names = [];
        foreach ([...(array) glob(app_path('Http/Requests/*.php')), ...(array) glob(app_path('Http/Controllers/*.php'))] as $file) {
            $asks = "/^\s+'([a-z_]+)(?:\.[\w*.]+)?' => \[?[\['\"A-Z]|(?:string|integer|input|float|has|filled)\('([a-z_]+)'/m";
            preg_match_all($asks, (string) file_get_contents((string) $file), $found);
            array_push($names, ...$found[1], ...$found[2]);
        }

        return array_values(array_unique(array_filter($names, fn (string $name): bool => $name !== '')));
    }

    public function test_no_address_answers_with_a_fault(): void
    {
        $this->seed([DemoCards::class, DemoRuns::class, DemoModes::class]);
        $fields = self::fields();
        self::assertGreaterThan(80, count($fields));
        $tag = Card::query()->firstOrFail()->tag;
        $faults = [];
        $asked = 0;
        foreach (Route::getRoutes()->getRoutes() as $route) {
            $path = strtr($route->uri(), ['{card}' => $tag, '{card?}' => $tag, '{format}' => 'csv', '{kind}' => 'drives', '{key}' => 'D1']);
            $path = '/'.preg_replace('/\{[\w:]+\??\}/', '1', $path);
            foreach (array_intersect(['POST', 'PUT', 'GET'], $route->methods()) as $method) {
                for ($round = 0; $round < self::ROUNDS; $round++) {
                    // Another one in each field, and another mixture in each round.
                    $form = ['by' => 'Wren', 'reason' => 'tried'];
                    foreach ($fields as $i => $field) {
                        $form[$field] = self::EXTREMES[($i * (1 + 2 * $round) + $round) % count(self::EXTREMES)];
                    }
                    $answer = $this->call($method, $path, $form);
                    $asked++;
                    if ($answer->getStatusCode() >= 500) {
                        $faults["{$method} {$path}"] ??= substr((string) $answer->exception?->getMessage(), 0, 160);
                    }
                }
                foreach ([['x'], [['x']]] as $list) {
                    $answer = $this->call($method, $path, array_fill_keys($fields, $list));
                    if ($answer->getStatusCode() >= 500) {
                        $faults["{$method} {$path}"] ??= 'a list: '.substr((string) $answer->exception?->getMessage(), 0, 160);
                    }
                }
            }
        }
        self::assertSame([], $faults);
        self::assertGreaterThan(500, $asked);
    }

    #[TestWith([1213, 'Somebody else saved the same at this very moment.'])]
    #[TestWith([1062, 'Somebody else saved the same at this very moment.'])]
    #[TestWith([1264, '“capacity” is more than the books can hold'])]
    public function test_what_the_books_refuse_is_told_and_no_fault(int $code, string $says): void
    {
        $fault = new QueryException('mariadb', 'INSERT', [], new class($code) extends PDOException
        {
            public function __construct(int $code)
            {
                parent::__construct('refused');
                $this->errorInfo = ['HY000', $code, "Out of range value for column 'capacity' at row 1"];
            }
        });
        Route::post('/refused', fn () => throw $fault)->middleware('web');
        $answer = $this->from('/prices')->post('/refused')->assertRedirect('/prices')->assertSessionHasErrors('may');
        $errors = session('errors');
        self::assertInstanceOf(ViewErrorBag::class, $errors);
        self::assertStringContainsString($says, $errors->first('may'));
        self::assertSame(303, $answer->getStatusCode());
        $this->postJson('/refused')->assertStatus(409);
        self::assertNull(RefusedByBooks::answer($fault, request()->create('/prices')));
    }

    public function test_a_file_of_more_cameras_than_a_moment_takes_is_refused(): void
    {
        $cameras = array_map(
            fn (int $i): Camera => new Camera("C{$i}", 'made up', [new CameraSlot('A', [Bus::UhsII])], []),
            range(1, 51),
        );
        $this->expectException(NotUsable::class);
        $this->expectExceptionMessage('a file may have 50 at most');
        ModeBook::take($cameras);
    }
}
