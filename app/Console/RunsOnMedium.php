<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\Cards\Card;
use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use App\Runs\Conducting\LaidMedium;
use App\Runs\Filing\Outcome;
use App\Runs\Filing\UnfiledResult;
use Illuminate\Console\Command;
use InvalidArgumentException;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Tally\Device\Fault\DeviceFault;
use Tally\Device\Identity;
use Tally\Device\IdentityKind;
use Tally\Label\Form;
use Tally\Label\Label;
use Tally\Measured\Chain;
use Tally\Record\Parameters;
use Tally\Record\Result;
use Tally\Record\RunKind;

/** What the two terminal probes have in common: finding the medium, Ctrl-C, complaints on standard error, filing. */
abstract class RunsOnMedium extends Command
{
    protected const HOLDS = 0;

    protected const DOES_NOT_HOLD = 1;

    protected const COULD_NOT_RUN = 2;

    public function handle(): int
    {
        $watch = new TerminalObserver($this->output->getOutput());
        $watch->listen();
        $laid = null;
        try {
            $medium = MediumAtHand::from($this->input);
            $laid = $this->lay($medium);
            if ($laid->device->facts()->identity?->kind === IdentityKind::Folder) {
                $this->complain(
                    "“{$medium->path}” is a folder on this computer, not a card: what is found judges that folder and no card.",
                );
            }

            return $this->conduct($medium, $laid, $watch);
        } catch (DeviceFault|InvalidArgumentException $fault) {
            $this->complain($fault->getMessage());

            return self::COULD_NOT_RUN;
        } finally {
            $watch->finish();
            $laid?->device->close();
        }
    }

    /** @throws DeviceFault|InvalidArgumentException */
    abstract protected function lay(MediumAtHand $medium): LaidMedium;

    /** @throws DeviceFault|InvalidArgumentException */
    abstract protected function conduct(MediumAtHand $medium, LaidMedium $laid, TerminalObserver $watch): int;

    protected function complain(string $sentence): void
    {
        $output = $this->output->getOutput();
        ($output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output)->writeln($sentence);
    }

    /** @param  array<string, mixed>  $result */
    protected function json(array $result): void
    {
        $this->output->writeln(json_encode($result, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE), OutputInterface::OUTPUT_RAW);
    }

    /** The card's label; without a card, a label that claims no more than the size of the medium. */
    protected function label(MediumAtHand $medium, LaidMedium $laid): Label
    {
        return $medium->card?->label() ?? new Label(Form::Ssd, $laid->whole);
    }

    /** @param  array{write: list<array{float, float}>, read: list<array{float, float}>, heat?: list<array{float, float}>}  $traces */
    protected function file(
        Card $card,
        RunKind $kind,
        Parameters $parameters,
        Result $result,
        array $traces,
        RunState $state,
        ?string $message,
        ?Identity $medium,
    ): void {
        $run = UnfiledResult::put(
            (new Run([
                'card_id' => $card->id,
                'kind' => $kind,
                'chain' => Chain::unnamed(),
                'parameters' => $parameters,
                'recorded_by' => MediumAtHand::person(),
                'medium' => $medium,
                'started_at' => now(),
            ]))->setRelation('card', $card),
            new Outcome($state, $result, $traces, $message),
        )->file(fn (): bool => true);
        $this->complain(
            $run === null
                ? "The database went away. The result is on the disk of this machine, and is filed under {$card->tag} when the ".
                    'station starts next.'
                : "Filed as {$run->name()} of {$card->tag}.",
        );
    }
}
