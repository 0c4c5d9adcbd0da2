<?php

declare(strict_types=1);

namespace App\Console;

use Symfony\Component\Console\Helper\ProgressBar;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Tally\Probe\Observing\Observer;
use Tally\Probe\Observing\Progress;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;

/** A progress bar on standard error, so that standard output carries the result alone. */
final class TerminalObserver implements Observer
{
    private ?ProgressBar $bar = null;

    private bool $stop = false;

    public function __construct(private readonly OutputInterface $output) {}

    public function progress(Progress $progress): void
    {
        if ($this->bar === null) {
            $error = $this->output instanceof ConsoleOutputInterface ? $this->output->getErrorOutput() : $this->output;
            $this->bar = new ProgressBar($error, 1000, 0.25);
            $this->bar->minSecondsBetweenRedraws($error->isDecorated() ? 0.25 : 5);
            $this->bar->setFormat('%message% [%bar%] %percent:3s% %');
            $this->bar->setMessage('starting');
            $this->bar->start();
        }
        $share = $progress->share();
        $left = $progress->left() === null ? '' : Span::seconds($progress->left())->print().' left';
        $rate = $progress->rate === null ? '' : Rate::bytesPerSecond($progress->rate)->print();
        $this->bar->setMessage(sprintf('%-8s run %d  %-12s %-14s', $progress->phase->value, $progress->run, $rate, $left));
        $this->bar->setProgress((int) (1000 * $share));
    }

    public function wantsStop(): bool
    {
        return $this->stop;
    }

    /**
     * Ctrl-C and a closed window ask it to stop: the framework’s own handlers end the program before a card is cleared, and nothing
     * should be left on it.
     */
    public function listen(): void
    {
        pcntl_async_signals(true);
        foreach ([SIGINT, SIGTERM, SIGHUP] as $signal) {
            pcntl_signal($signal, $this->stop(...));
        }
    }

    public function stop(): void
    {
        $this->stop = true;
    }

    public function finish(): void
    {
        $this->bar?->clear();
    }
}
