<?php

declare(strict_types=1);

namespace Tools\Commands;

use Illuminate\Console\Command;
use Illuminate\Support\Str;
use Symfony\Component\Finder\Finder;
use Tally\CaseFile\WrittenCase;
use Tally\Shoot\Written\WrittenFit;
use Tools\Types\JsonSchema;
use Tools\Types\PageTypes;

/** What is said once, by the constructors of values, in the languages of others. */
final class TypesCommand extends Command
{
    protected $signature = 'tally:types {--check : Only say whether all of it is up to date}';

    protected $description = 'Write what is made from the classes of values: the TypeScript of pages, and JSON schemas of files';

    public function handle(): int
    {
        $file = resource_path('js/types/generated/props.d.ts');
        [$classes, $homes] = [[], []];
        foreach (Finder::create()->files()->in(app_path())->name('*.php')->sortByName() as $path) {
            /** @var class-string $class */
            $class = 'App\\'.str_replace('/', '\\', substr($path->getPathname(), strlen(app_path()) + 1, -strlen('.php')));
            if (Str::endsWith($class, 'Props') || preg_match('/Pages.\w+.\w+Page$/', $class) === 1) {
                $classes[] = $class;
            }
            if (str_contains($path->getContents(), '@phpstan-type ')) {
                $homes[] = $class;
            }
        }
        $types = (new PageTypes())->of($classes, $homes);
        foreach ([$file => $types, ...$this->schemas()] as $path => $made) {
            if ($this->option('check') !== true) {
                file_put_contents($path, $made);
            } elseif (! is_file($path) || file_get_contents($path) !== $made) {
                $this->error(basename($path).' is older than the classes that it is made from: run php artisan tally:types.');

                return self::FAILURE;
            }
        }
        $this->line(substr_count($types, 'export ').' types of pages, up to date.');

        return self::SUCCESS;
    }

    /** @return array<string, string> file → the JSON schema of a format that people write */
    private function schemas(): array
    {
        return [
            base_path('docs/case.schema.json') => JsonSchema::of(
                WrittenCase::class,
                'Case',
                'What is known of one memory card, as figures from anywhere, for a second opinion: php artisan tally:judge FILE, or the '.
                    'page Second opinion. A file holds one case or a list of them.',
                orMany: true,
            ),
            base_path('docs/fit.schema.json') => JsonSchema::of(
                WrittenFit::class,
                'Cameras, their modes and cards',
                'What may record what, and which card goes where in a whole shoot: php artisan tally:fit FILE. In files of before, '.
                    'criterion is called school.',
            ),
        ];
    }
}
