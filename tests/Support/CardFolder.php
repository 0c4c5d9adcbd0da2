<?php

declare(strict_types=1);

namespace Tests\Support;

/** Folders with files in them, as cards have. */
trait CardFolder
{
    use TemporaryFolder;

    /**
     * @param  array<string>  $files  path → bytes
     * @return string the folder
     */
    private function cardFolder(array $files, string $name = 'QS-014'): string
    {
        $card = "{$this->folder()}/{$name}";
        mkdir($card);
        foreach ($files as $path => $bytes) {
            $path = (string) $path;
            @mkdir(dirname("{$card}/{$path}"), recursive: true);
            file_put_contents("{$card}/{$path}", $bytes);
        }

        return $card;
    }

    /** @return array<string, string> path → bytes, of every file below a folder; folders have a slash at their end */
    private function tree(string $folder): array
    {
        $all = [];
        foreach (array_diff((array) scandir($folder), ['.', '..']) as $name) {
            $name = (string) $name;
            $path = "{$folder}/{$name}";
            if (is_dir($path) && ! is_link($path)) {
                $all["{$name}/"] = '';
                foreach ($this->tree($path) as $within => $bytes) {
                    $all["{$name}/{$within}"] = $bytes;
                }
            } elseif (is_file($path)) {
                $all[$name] = (string) file_get_contents($path);
            }
        }

        return $all;
    }
}
