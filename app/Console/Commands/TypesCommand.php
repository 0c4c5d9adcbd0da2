<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Types\TypeScript;
use Illuminate\Console\Command;

/** Page props of PHP as TypeScript. */
final class TypesCommand extends Command
{
    protected $signature = 'tally:types {--check : Only say whether the file is up to date}';

    protected $description = 'Write the TypeScript types of the page props';

    public function handle(): int
    {
        $file = resource_path('js/types/generated/props.d.ts');
        $classes = [];
        foreach (['*/*Props.php', 'Pages/*/*Props.php', 'Pages/*/*Page.php'] as $where) {
            $paths = glob(app_path($where));
            foreach ($paths === false ? [] : $paths as $path) {
                /** @var class-string $class */
                $class = 'App\\'.str_replace('/', '\\', substr($path, strlen(app_path()) + 1, -strlen('.php')));
                $classes[] = $class;
            }
        }
        $types = (new TypeScript())->of($classes);
        if ($this->option('check') !== true) {
            file_put_contents($file, $types);
        } elseif (! is_file($file) || file_get_contents($file) !== $types) {
            $this->error('The TypeScript types are older than the page props: run php artisan tally:types.');

            return self::FAILURE;
        }
        $this->line(count($classes).' page props, types up to date.');

        return self::SUCCESS;
    }
}
