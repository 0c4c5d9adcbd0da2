<?php

declare(strict_types=1);

namespace Tools\Trial;

use CurlHandle;

/** One person with a browser: cookies of their own, one page at a time, a moment's thought in between. */
final class Visitor
{
    public float $busyUntil = 0.0;

    public float $asked = 0.0;

    public string $page = '';

    private CurlHandle $curl;

    private int $asks = 0;

    /** @var list<string> */
    private readonly array $addresses;

    /** @param  string  ...$addresses  host and port; where there are several, one after the other, as a proxy before them would ask */
    public function __construct(string ...$addresses)
    {
        $this->addresses = array_values($addresses);
        $curl = curl_init();
        curl_setopt_array($curl, [
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_COOKIEFILE => '',
            CURLOPT_ENCODING => '',
            CURLOPT_TIMEOUT => 60,
            CURLOPT_HEADER => false,
        ]);
        $this->curl = $curl;
    }

    public function signIn(string $name, string $password): bool
    {
        $this->get('/sign-in');
        $this->press('/sign-in', ['name' => $name, 'password' => $password]);

        return str_ends_with((string) curl_getinfo($this->curl, CURLINFO_REDIRECT_URL), '/intake');
    }

    /**
     * A form, or a button of a page.
     *
     * @param  array<string, string>  $form
     * @return array{int, float} status, seconds
     */
    public function press(string $path, array $form = []): array
    {
        $token = '';
        foreach (curl_getinfo($this->curl, CURLINFO_COOKIELIST) as $line) {
            if (str_contains($line, "XSRF-TOKEN\t")) {
                $token = urldecode(substr($line, (int) strrpos($line, "\t") + 1));
            }
        }
        curl_setopt_array($this->curl, [
            CURLOPT_URL => $this->url($path),
            CURLOPT_POST => true,
            CURLOPT_POSTFIELDS => http_build_query($form),
            CURLOPT_HTTPHEADER => ["X-XSRF-TOKEN: {$token}"],
        ]);
        $began = hrtime(true);
        curl_exec($this->curl);
        $seconds = (hrtime(true) - $began) / 1e9;
        $status = $this->status();
        curl_setopt_array($this->curl, [CURLOPT_HTTPGET => true, CURLOPT_HTTPHEADER => []]);

        return [$status, $seconds];
    }

    /** @return array{int, float, int} status, seconds, bytes as they came over the line, headers included */
    public function get(string $path): array
    {
        $this->ask($path);
        $began = hrtime(true);
        curl_exec($this->curl);

        return [$this->status(), (hrtime(true) - $began) / 1e9, $this->bytes()];
    }

    /** Made ready, to be carried out beside others. */
    public function ask(string $path): CurlHandle
    {
        $this->page = $path;
        $this->asked = hrtime(true) / 1e9;
        curl_setopt($this->curl, CURLOPT_URL, $this->url($path));

        return $this->curl;
    }

    /** @return non-empty-string */
    private function url(string $path): string
    {
        return 'http://'.$this->addresses[$this->asks++ % count($this->addresses)].$path;
    }

    /** The HTTP status of the last answer; 0 when there was none. */
    public function status(): int
    {
        return curl_getinfo($this->curl, CURLINFO_RESPONSE_CODE);
    }

    /** Of the last answer as it came over the line, its headers too. */
    public function bytes(): int
    {
        return curl_getinfo($this->curl, CURLINFO_SIZE_DOWNLOAD_T) + curl_getinfo($this->curl, CURLINFO_HEADER_SIZE);
    }
}
