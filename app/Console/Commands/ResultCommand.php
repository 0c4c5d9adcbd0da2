<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\MediumAtHand;
use App\EvidenceFile\NotAResult;
use App\EvidenceFile\ResultReader;
use App\Models\Cards\Card;
use Illuminate\Console\Command;

/** Exit codes: 0 it is what it was, 2 it is not, or cannot be used. */
final class ResultCommand extends Command
{
    protected $signature = 'tally:result
        {file : A result file, as the Prove page hands it out}
        {--take : File its runs under its card, where they are not in the books yet}';

    protected $description = 'Check a result file against its hashes, and read it back in';

    public function handle(): int
    {
        $path = $this->argument('file');
        $json = is_file($path) && filesize($path) <= ResultReader::MOST ? file_get_contents($path) : false;
        if ($json === false) {
            $this->error("“{$path}” is no file that can be read, or larger than 12 MB. Give a result file.");

            return 2;
        }
        try {
            $result = ResultReader::read($json);
            [$file, $about] = [$result->file, $result->file->card];
            $this->line("{$about->tag}, {$about->label}: made {$file->madeAt}, unchanged since. SHA-256 {$file->hash}");
            $this->line(
                '  '.
                    match (true) {
                        $file->signature === null => 'signed by nobody: it is kept apart when it is read in',
                        $result->signer() === null => "signed by “{$file->signature->station}” with a key this house does not ".
                            "know ({$file->signature->key}): it is kept apart when it is read in",
                        default => "signed by {$result->signer()}",
                    },
            );
            foreach ($result->runs as $run) {
                $this->line("  run {$run->id}  {$run->kind->value}  {$run->state->value}  {$run->hash}");
            }
            if ($this->option('take') === true) {
                $card =
                    Card::query()->where('tag', $about->tag)->first() ??
                    throw NotAResult::because("no card is tagged {$about->tag} here. Enter it on the Intake page first.");
                $taken = $result->take($card, MediumAtHand::person());
                $this->line(
                    $taken->isApart() ? 'Kept apart: no station that this house knows has signed it.' : "{$taken->runs} runs taken over.",
                );
            }
        } catch (NotAResult $fault) {
            $this->error($fault->getMessage());

            return 2;
        }

        return 0;
    }
}
