<?php

declare(strict_types=1);

namespace Tally\Offload\Question;

/** Whether all that a question names is there, once, and can be. */
final readonly class QuestionCheck
{
    /** @throws UnusableQuestion */
    public static function of(Question $question): void
    {
        self::once('hosts', array_map(fn (Host $host): string => $host->name, $question->hosts));
        self::once('hosts.ports', $question->ports());
        self::once('cards', array_map(fn (LadenCard $card): string => $card->tag, $question->cards));
        $things = array_map(fn (Reader|Drive $one): string => $one->name, [...$question->readers, ...$question->drives]);
        self::once('readers and drives', $things);
        foreach ($question->hosts as $host) {
            self::host($host);
        }
        $slots = [];
        foreach ($question->readers as $reader) {
            foreach ($reader->slots as $slot) {
                $slots[] = "{$reader->name} {$slot->name}";
            }
        }
        self::once('readers.slots', $slots);
        $hosts = array_map(fn (Host $host): string => $host->name, $question->hosts);
        foreach ($question->drives as $drive) {
            if ($drive->inside !== null && ! in_array($drive->inside, $hosts, true)) {
                throw new UnusableQuestion('drives.inside', "{$drive->name} is said to be inside “{$drive->inside}”, no host here.");
            }
            if ($drive->write <= 0 || $drive->read <= 0 || $drive->cache < 0 || $drive->free < 0) {
                throw new UnusableQuestion('drives', "{$drive->name} needs a write and a read above nothing.");
            }
        }
        self::links($question);
    }

    private static function host(Host $host): void
    {
        $names = array_map(fn (Controller $controller): string => $controller->name, $host->controllers);
        self::once('hosts.controllers', $names);
        foreach ($host->ports as $port) {
            if ($port->controller !== null && ! in_array($port->controller, $names, true)) {
                throw new UnusableQuestion(
                    'hosts.ports.controller',
                    "Port {$port->name} of {$host->name} hangs on “{$port->controller}”, which is no controller of it.",
                );
            }
        }
        $behind = array_combine($names, array_map(fn (Controller $controller): ?string => $controller->behind, $host->controllers));
        foreach ($names as $name) {
            [$at, $steps] = [$behind[$name], 0];
            while ($at !== null) {
                if (! array_key_exists($at, $behind) || ++$steps > count($names)) {
                    throw new UnusableQuestion(
                        'hosts.controllers.behind',
                        "What is behind controller {$name} of {$host->name} leads nowhere, or in a ring.",
                    );
                }
                $at = $behind[$at];
            }
        }
    }

    private static function links(Question $question): void
    {
        $ports = $question->ports();
        $plugged = $question->plugged();
        foreach ($question->links as $thing => $port) {
            if (! in_array($thing, $plugged, true)) {
                throw new UnusableQuestion('links', "“{$thing}” is no reader, and no drive that goes into a port.");
            }
            if (! in_array($port, $ports, true)) {
                throw new UnusableQuestion('links', "{$thing} is said to be in “{$port}”, which is no port here. Write host and port.");
            }
        }
        foreach (array_count_values($question->links) as $port => $times) {
            if ($times > 1) {
                $both = implode(' and ', array_keys($question->links, $port, true));
                throw new UnusableQuestion('links', "{$both} cannot be in one port, {$port}. Move one of them.");
            }
        }
    }

    /** @param  list<string>  $names */
    private static function once(string $field, array $names): void
    {
        foreach (array_count_values($names) as $name => $times) {
            if ($times > 1) {
                throw new UnusableQuestion($field, "Two of the {$field} read “{$name}”. Tell them apart.");
            }
        }
    }
}
