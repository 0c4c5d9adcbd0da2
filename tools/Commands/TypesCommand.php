<?php

declare(strict_types=1);

namespace Tools\Commands;

use Illuminate\Console\Command;
use Illuminate\Support\Str;
use Symfony\Component\Finder\Finder;
use Tools\Types\PageTypes;

/** Page props of PHP as TypeScript. */
final class TypesCommand extends Command
{
    protected $signature = 'tally:types {--check : Only say whether the file is up to date}';

    protected $description = 'Write the TypeScript types of the page props';

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
        if ($this->option('check') !== true) {
            file_put_contents($file, $types);
        } elseif (! is_file($file) || file_get_contents($file) !== $types) {
            $this->error('The TypeScript types are older than the page props: run php artisan tally:types.');

            return self::FAILURE;
        }
        $this->line(substr_count($types, 'export ').' types of pages, up to date.');

        return self::SUCCESS;
    }
}
