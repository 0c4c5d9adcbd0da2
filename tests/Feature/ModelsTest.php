<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Kit\Reader;
use Illuminate\Database\Eloquent\Attributes\Boot;
use Illuminate\Database\Eloquent\Attributes\Initialize;
use Illuminate\Database\Eloquent\Model;
use PHPUnit\Framework\Attributes\DataProvider;
use ReflectionClass;
use Symfony\Component\Finder\Finder;
use Tally\Label\Mark;
use Tally\Quantity\Bytes;
use Tests\TestCase;

/** Models are made ready by the names of their traits; what the framework would find by attributes would be left out. */
final class ModelsTest extends TestCase
{
    /** @return iterable<string, array{class-string<Model>}> */
    public static function models(): iterable
    {
        foreach (
            (new Finder())
                ->files()
                ->name('*.php')
                ->in(dirname(__DIR__, 2).'/app/Models') as $file
        ) {
            $class = 'App\\Models\\'.strtr(substr($file->getRelativePathname(), 0, -4), '/', '\\');
            if (is_subclass_of($class, Model::class) && ! (new ReflectionClass($class))->isAbstract()) {
                yield $file->getBasename('.php') => [$class];
            }
        }
    }

    /** @param  class-string<Model>  $class */
    #[DataProvider('models')]
    public function test_no_model_is_made_ready_by_attributes(string $class): void
    {
        foreach ((new ReflectionClass($class))->getMethods() as $method) {
            self::assertSame(
                [],
                [...$method->getAttributes(Boot::class), ...$method->getAttributes(Initialize::class)],
                $method->getName(),
            );
        }
        self::assertInstanceOf($class, new $class());
    }

    public function test_what_a_trait_boots_is_booted(): void
    {
        new Reader();
        self::assertTrue(Reader::getEventDispatcher()?->hasListeners('eloquent.saving: '.Reader::class));
    }

    public function test_the_label_of_a_card_is_made_once_and_follows_its_columns(): void
    {
        $card = $this->card(['capacity' => 64_000_000_000, 'marks' => ['U3']]);
        $label = $card->label();
        self::assertSame($label, $card->label());
        $card->capacity = Bytes::gigabytes(128);
        self::assertSame(128_000_000_000, $card->label()->capacity->count);
        $card->forceFill(['marks' => [Mark::V60]]);
        self::assertSame(Mark::V60, $card->label()->topMark());
        self::assertSame(Mark::U3, $card->refresh()->label()->topMark());
    }
}
