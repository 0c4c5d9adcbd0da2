<?php

declare(strict_types=1);

namespace Tally\Offload;

use JsonException;
use Tally\Offload\Question\Controller;
use Tally\Offload\Question\Drive;
use Tally\Offload\Question\Goal;
use Tally\Offload\Question\Host;
use Tally\Offload\Question\LadenCard;
use Tally\Offload\Question\Port;
use Tally\Offload\Question\Question;
use Tally\Offload\Question\Reader;
use Tally\Offload\Question\ReaderSlot;
use Tally\Offload\Question\Rules;
use Tally\Offload\Question\Scheme;
use Tally\Offload\Question\UnusableQuestion;
use Tally\Offload\Question\Verify;
use Tally\Record\Fields;
use Tally\Record\NotUsable;

/** Reads what a plan is asked for from an open file; docs/plan.md describes it. */
final readonly class PlanFile
{
    public const FORMAT = 'gritty-tally-offload';

    public const VERSION = 1;

    private const LARGEST = 4_000_000;

    private function __construct(public Question $question, public ?Goal $goal) {}

    /**
     * @throws NotUsable naming the field, what was given, and what would do
     * @throws UnusableQuestion when it contradicts itself
     */
    public static function read(string $json): self
    {
        if (strlen($json) > self::LARGEST) {
            throw NotUsable::field('file', 'more than 4 MB', 'give a plan file.');
        }
        try {
            $values = json_decode($json, true, 32, JSON_THROW_ON_ERROR);
        } catch (JsonException $fault) {
            throw NotUsable::field('file', $fault->getMessage(), 'give JSON.');
        }
        $file = new Fields(is_array($values) ? $values : throw NotUsable::field('file', $values, 'give an object.'));
        if ($file->text('format') !== self::FORMAT) {
            throw $file->wrong('format', '“'.self::FORMAT.'” would do.');
        }
        if ($file->integer('version') !== self::VERSION) {
            throw $file->wrong('version', self::VERSION.' would do.');
        }
        $rules = $file->fields('rules');

        return new self(
            new Question(
                array_map(self::host(...), $file->rows('hosts')),
                array_map(self::reader(...), $file->rows('readers')),
                array_map(self::drive(...), $file->rows('drives')),
                array_map(self::card(...), $file->rows('cards')),
                self::links($file->fields('links')),
                self::rules($rules),
            ),
            $rules->has('goal') ? $rules->choice('goal', Goal::class) : null,
        );
    }

    /** @return array<string, string> reader or drive → “host port” */
    public static function links(Fields $links): array
    {
        $all = [];
        foreach (array_keys($links->values) as $thing) {
            $all[(string) $thing] = $links->text((string) $thing);
        }

        return $all;
    }

    /**
     * As a plan file has it, so that read() gives the same question again. Bytes, and bytes a second.
     *
     * @return array<string, mixed>
     */
    public static function pack(Question $question, Goal $goal): array
    {
        return [
            'format' => self::FORMAT,
            'version' => self::VERSION,
            'hosts' => array_map(
                fn (Host $host): array => self::told([
                    'name' => $host->name,
                    'controllers' => (object) array_column(
                        array_map(
                            fn (Controller $one): array => [
                                $one->name,
                                self::told(['ceiling' => $one->ceiling, 'half' => $one->isHalf, 'behind' => $one->behind]),
                            ],
                            $host->controllers,
                        ),
                        1,
                        0,
                    ),
                    'hash' => $host->hash,
                    'previews' => $host->previews,
                    'ports' => array_map(
                        fn (Port $port): array => self::told([
                            'name' => $port->name,
                            'controller' => $port->controller,
                            'link' => $port->ceiling,
                            'half' => $port->isHalf,
                        ]),
                        $host->ports,
                    ),
                ]),
                $question->hosts,
            ),
            'readers' => array_map(
                fn (Reader $reader): array => self::told([
                    'name' => $reader->name,
                    'uplink' => $reader->uplink,
                    'lanes' => (object) $reader->lanes,
                    'slots' => array_map(
                        fn (ReaderSlot $slot): array => self::told([
                            'name' => $slot->name,
                            'buses' => (object) $slot->buses,
                            'lane' => $slot->lane,
                        ]),
                        $reader->slots,
                    ),
                ]),
                $question->readers,
            ),
            'drives' => array_map(
                fn (Drive $drive): array => self::told([
                    'name' => $drive->name,
                    'write' => $drive->write,
                    'read' => $drive->read,
                    'free' => $drive->free === INF ? INF : (int) $drive->free,
                    'cache' => (int) $drive->cache,
                    'fast' => $drive->fast,
                    'spinning' => $drive->isSpinning,
                    'inside' => $drive->inside,
                    'link' => $drive->link,
                ]),
                $question->drives,
            ),
            'cards' => array_map(
                fn (LadenCard $card): array => [
                    'tag' => $card->tag,
                    'bytes' => (int) $card->bytes,
                    'files' => $card->files,
                    'read' => $card->read,
                    'buses' => $card->buses,
                    'read_in' => (object) $card->readIn,
                ],
                $question->cards,
            ),
            'links' => (object) $question->links,
            'rules' => [
                'copies' => $question->rules->copies,
                'verify' => $question->rules->verify->value,
                'scheme' => $question->rules->scheme->value ?? 'any',
                'swap' => $question->rules->swap,
                'first' => $question->rules->first,
                'overhead' => $question->rules->overhead,
                'hands' => $question->rules->hands,
                'goal' => $goal->value,
            ],
        ];
    }

    /**
     * Without what is no limit and what is not so: that is left out of a file. No cache is none.
     *
     * @param  array<string, mixed>  $fields
     * @return array<string, mixed>
     */
    private static function told(array $fields): array
    {
        $fields = array_filter($fields, fn (mixed $one): bool => $one !== INF && $one !== null && $one !== false);
        if (($fields['cache'] ?? 1) === 0) {
            unset($fields['cache'], $fields['fast']);
        }

        return $fields;
    }

    private static function host(Fields $host): Host
    {
        $controllers = [];
        foreach ($host->fields('controllers')->values as $name => $value) {
            $one = is_array($value) ? new Fields($value, $host->name("controllers.{$name}")) : null;
            $controllers[] = new Controller(
                (string) $name,
                $one === null ? self::number($value, $host->name("controllers.{$name}")) : self::ceiling($one, 'ceiling'),
                $one?->boolean('half') ?? false,
                $one?->textOrNull('behind'),
            );
        }
        $ports = array_map(
            fn (Fields $port): Port => new Port(
                $port->text('name'),
                $port->textOrNull('controller'),
                self::ceiling($port, $port->has('ceiling') ? 'ceiling' : 'link'),
                $port->boolean('half'),
            ),
            $host->rows('ports'),
        );

        $previews = $host->has('previews') ? $host->number('previews') : INF;

        return $previews > 0
            ? new Host($host->text('name'), $controllers, $ports, self::ceiling($host, 'hash'), $previews)
            : throw $host->wrong('previews', 'give files a second, such as 2.3, or leave it out where none are built.');
    }

    private static function reader(Fields $reader): Reader
    {
        $slots = array_map(
            fn (Fields $slot): ReaderSlot => new ReaderSlot(
                $slot->text('name'),
                self::speeds($slot->fields('buses')),
                $slot->textOrNull('lane'),
            ),
            $reader->rows('slots'),
        );
        $uplink = min(self::ceiling($reader, 'uplink'), self::ceiling($reader, 'cable'));

        return new Reader($reader->text('name'), $slots, self::speeds($reader->fields('lanes')), $uplink);
    }

    private static function drive(Fields $drive): Drive
    {
        $write = $drive->rate('write')->bytesPerSecond;

        return new Drive(
            $drive->text('name'),
            $write,
            $drive->rate('read')->bytesPerSecond,
            $drive->has('free') ? (float) $drive->size('free')->count : INF,
            $drive->has('cache') ? (float) $drive->size('cache')->count : 0.0,
            $drive->has('fast') ? $drive->rate('fast')->bytesPerSecond : $write,
            $drive->boolean('spinning'),
            $drive->textOrNull('inside'),
            self::ceiling($drive, 'link'),
        );
    }

    private static function card(Fields $card): LadenCard
    {
        return new LadenCard(
            $card->text('tag'),
            (float) $card->size('bytes')->count,
            $card->count('files', 0),
            $card->rate('read')->bytesPerSecond,
            $card->texts('buses'),
            self::speeds($card->fields('read_in')),
        );
    }

    private static function rules(Fields $rules): Rules
    {
        $scheme = $rules->text('scheme', 'any');
        $whole = new Rules();
        if ($rules->count('copies', 2) < 1 || $rules->count('copies', 2) > Rules::MOST_COPIES) {
            throw $rules->wrong('copies', 'give 1, 2 or 3.');
        }
        if ($rules->count('hands', 1) < 1 || $rules->count('hands', 1) > Rules::MOST_HANDS) {
            throw $rules->wrong('hands', 'give 1 to '.Rules::MOST_HANDS.' pairs.');
        }

        return new Rules(
            $rules->count('copies', $whole->copies),
            $rules->has('verify') ? $rules->choice('verify', Verify::class) : $whole->verify,
            $scheme === 'any' ? null : $rules->choice('scheme', Scheme::class),
            self::seconds($rules, 'swap', $whole->swap),
            self::seconds($rules, 'first', $whole->first),
            self::seconds($rules, 'overhead', $whole->overhead),
            $rules->count('hands', $whole->hands),
        );
    }

    private static function seconds(Fields $rules, string $key, float $default): float
    {
        $seconds = $rules->number($key, $default);

        return $seconds >= 0 && $seconds <= 86_400 ? $seconds : throw $rules->wrong($key, 'give seconds, from 0 to a day.');
    }

    /** @return array<string, float> name → bytes a second */
    private static function speeds(Fields $speeds): array
    {
        $all = [];
        foreach ($speeds->values as $name => $value) {
            $all[(string) $name] = self::number($value, $speeds->name((string) $name));
        }

        return $all;
    }

    /** Bytes a second; INF where it is left out. */
    private static function ceiling(Fields $fields, string $key): float
    {
        return $fields->has($key) ? $fields->rate($key)->bytesPerSecond : INF;
    }

    private static function number(mixed $value, string $name): float
    {
        return Fields::readRate($value, $name)->bytesPerSecond;
    }
}
