<?php

declare(strict_types=1);

namespace Tools\Trial;

/** Many people at pages at once, each with a moment's thought from page to page. */
final readonly class Crowd
{
    /** Seconds, at the least and at the most. */
    private const THOUGHT = [0.3, 1.5];

    /**
     * @param  list<Visitor>  $visitors
     * @param  non-empty-list<string>  $pages
     * @return array{took: list<float>, errors: array<string, int>, seconds: float} milliseconds; status and page → how often; of how long
     */
    public static function visit(array $visitors, array $pages, float $seconds): array
    {
        $multi = curl_multi_init();
        [$took, $errors, $asking] = [[], [], []];
        $began = $now = hrtime(true) / 1e9;
        for (; $now < $began + $seconds || $asking !== []; $now = hrtime(true) / 1e9) {
            foreach ($visitors as $i => $visitor) {
                if (! isset($asking[$i]) && $now >= $visitor->busyUntil && $now < $began + $seconds) {
                    curl_multi_add_handle($multi, $asking[$i] = $visitor->ask($pages[array_rand($pages)]));
                }
            }
            curl_multi_exec($multi, $running);
            while (($done = curl_multi_info_read($multi)) !== false) {
                $i = array_search($done['handle'], $asking, true);
                if ($i === false) {
                    continue;
                }
                $visitor = $visitors[$i];
                $took[] = 1000 * (hrtime(true) / 1e9 - $visitor->asked);
                if ($visitor->status() !== 200) {
                    $errors["{$visitor->status()} {$visitor->page}"] = ($errors["{$visitor->status()} {$visitor->page}"] ?? 0) + 1;
                }
                curl_multi_remove_handle($multi, $asking[$i]);
                unset($asking[$i]);
                $visitor->busyUntil =
                    hrtime(true) / 1e9 + self::THOUGHT[0] + ((self::THOUGHT[1] - self::THOUGHT[0]) * mt_rand()) / mt_getrandmax();
            }
            curl_multi_select($multi, 0.01);
        }

        return ['took' => $took, 'errors' => $errors, 'seconds' => hrtime(true) / 1e9 - $began];
    }
}
