<?php

declare(strict_types=1);

namespace Tools\Trial\Scale;

use RuntimeException;
use Symfony\Component\Process\Process;
use Tools\Trial\FreePort;

/** The application in a folder of its own, as on another machine: its own settings, its own disk, started as docs/running.md says. */
final readonly class ServedCopy
{
    /** What is not part of a copy, and what of it is there already. */
    private const NOT = ['.git', '.run', '.run.root', '.env', 'storage', 'node_modules', 'test-results'];

    private int $port;

    /** @param  array<string, string>  $settings  of its .env */
    public function __construct(private string $folder, array $settings)
    {
        $this->port = FreePort::take();
        $but = implode(' ', array_map(fn (string $one): string => "--exclude=./{$one}", self::NOT));
        $from = base_path();
        $this->must(
            "mkdir -p {$folder}/storage/{app/private,framework/{cache/data,sessions,views},logs} && ".
                "tar -C {$from} {$but} -cf - . | tar -C {$folder} --no-same-owner -xf - && ln -s {$from}/node_modules {$folder}/",
        );
        $env = (string) file_get_contents(base_path('.env.example'));
        foreach ([...$settings, 'APP_PORT' => (string) $this->port, 'APP_URL' => "http://{$this->address()}"] as $name => $value) {
            $env = preg_replace("/^{$name}=.*\n/m", '', $env)."{$name}=\"{$value}\"\n";
        }
        file_put_contents("{$folder}/.env", $env);
    }

    public function start(): void
    {
        // Only what a shell of that machine would have.
        $this->must("cd {$this->folder} && env -i PATH=\"\$PATH\" HOME=\"\$HOME\" ./start --detach");
    }

    public function end(): void
    {
        $this->must("cd {$this->folder} && env -i PATH=\"\$PATH\" HOME=\"\$HOME\" ./start --stop");
    }

    public function address(): string
    {
        return "127.0.0.1:{$this->port}";
    }

    private function must(string $command): void
    {
        $asked = new Process(['bash', '-c', $command], timeout: 180);
        $asked->run();
        $asked->isSuccessful() || throw new RuntimeException("“{$command}” failed: {$asked->getErrorOutput()}{$asked->getOutput()}");
    }
}
