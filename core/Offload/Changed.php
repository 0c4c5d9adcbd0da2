<?php

declare(strict_types=1);

namespace Tally\Offload;

use Tally\Chain\HostLink;
use Tally\Offload\Question\Controller;
use Tally\Offload\Question\Drive;
use Tally\Offload\Question\DriveKind;
use Tally\Offload\Question\Host;
use Tally\Offload\Question\LadenCard;
use Tally\Offload\Question\Port;
use Tally\Offload\Question\Question;
use Tally\Offload\Question\Reader;
use Tally\Offload\Question\Rules;
use Tally\Offload\Question\Verify;

/** The same question with one thing changed. */
final readonly class Changed
{
    private function __construct(private Question $question) {}

    /** @param  int  $at  card in the question: one that gives twice as much, over the fastest bus of each slot that takes it */
    public static function card(Question $question, int $at): Question
    {
        $one = $question->cards[$at];
        $buses = array_fill_keys($one->buses, true);
        foreach ($question->readers as $reader) {
            foreach ($reader->slots as $slot) {
                $buses += array_intersect_key($slot->buses, $buses) === [] ? [] : array_fill_keys(array_keys($slot->buses), true);
            }
        }
        $twice = fn (float $rate): float => 2 * $rate;
        $cards = $question->cards;
        $cards[$at] = new LadenCard(
            $one->tag,
            $one->bytes,
            $one->files,
            2 * $one->read,
            buses: array_map(strval(...), array_keys($buses)),
            readIn: array_map($twice, $one->readIn),
        );

        return $question->withCards(array_values($cards));
    }

    /** @param  int  $at  drive or reader in the question */
    public static function drive(Question $question, int $at): Question
    {
        $one = $question->drives[$at];
        $drives = $question->drives;
        $drives[$at] = $one->with(
            write: 2 * $one->write,
            read: 2 * $one->read,
            fast: 2 * $one->fast,
            kind: DriveKind::of(DriveKind::Solid, $one->cache > 0),
            link: self::faster($one->link),
        );

        return (new self($question))->with(drives: $drives);
    }

    public static function secondReader(Question $question, int $at): Question
    {
        $one = $question->readers[$at];
        $name = "another {$one->name}";

        return (new self($question))->with(readers: [...$question->readers, new Reader($name, $one->slots, $one->lanes, $one->uplink)]);
    }

    public static function uplink(Question $question, int $at): Question
    {
        $one = $question->readers[$at];
        $readers = $question->readers;
        $readers[$at] = new Reader($one->name, $one->slots, $one->lanes, self::faster($one->uplink));

        return (new self($question))->with(readers: $readers);
    }

    public static function port(Question $question, int $host, int $at): Question
    {
        $one = $question->hosts[$host];
        $ports = $one->ports;
        $ports[$at] = new Port($ports[$at]->name, $ports[$at]->controller, self::faster($ports[$at]->ceiling));

        return (new self($question))->withHost($host, $one->with($one->controllers, array_values($ports)));
    }

    public static function controller(Question $question, int $host, string $name): Question
    {
        $one = $question->hosts[$host];
        $controllers = array_map(
            fn (Controller $each): Controller => $each->name === $name
                ? new Controller($each->name, 2 * $each->ceiling, $each->isHalf, $each->behind)
                : $each,
            $one->controllers,
        );

        return (new self($question))->withHost($host, $one->with($controllers, $one->ports));
    }

    public static function ports(Question $question, int $host): Question
    {
        $one = $question->hosts[$host];
        $ceiling = HostLink::UsbGen1->ceiling()->usable()->bytesPerSecond;
        $ports = array_map(fn (int $i): Port => new Port("new port {$i}", 'new', $ceiling), [1, 2]);
        $controllers = [...$one->controllers, new Controller('new', 2 * $ceiling)];

        return (new self($question))->withHost($host, $one->with($controllers, [...$one->ports, ...$ports]));
    }

    public static function hands(Question $question): Question
    {
        $rules = $question->rules;

        return (new self($question))->with(rules: self::rules($rules, hands: $rules->hands + 1));
    }

    public static function withoutReadBack(Question $question): Question
    {
        return (new self($question))->with(rules: self::rules($question->rules, verify: Verify::None));
    }

    public static function withoutPreviews(Question $question): Question
    {
        return (new self($question))->with(
            hosts: array_map(
                fn (Host $host): Host => new Host($host->name, $host->controllers, $host->ports, $host->hash),
                $question->hosts,
            ),
        );
    }

    public static function oneCopyLess(Question $question): Question
    {
        return (new self($question))->with(rules: self::rules($question->rules, copies: $question->rules->copies - 1));
    }

    /**
     * The next faster kind of link, as it is in practice.
     *
     * @param  float  $ceiling  bytes a second
     */
    private static function faster(float $ceiling): float
    {
        $kinds = array_map(fn (HostLink $link): float => $link->ceiling()->usable()->bytesPerSecond, HostLink::cases());
        sort($kinds);
        foreach ($kinds as $kind) {
            if ($kind > 1.3 * $ceiling) {
                return $kind;
            }
        }

        return $ceiling;
    }

    private static function rules(Rules $rules, ?int $copies = null, ?Verify $verify = null, ?int $hands = null): Rules
    {
        return new Rules(
            $copies ?? $rules->copies,
            $verify ?? $rules->verify,
            $rules->scheme,
            $rules->swap,
            first: $rules->first,
            overhead: $rules->overhead,
            hands: min(Rules::MOST_HANDS, $hands ?? $rules->hands),
        );
    }

    private function withHost(int $at, Host $host): Question
    {
        $hosts = $this->question->hosts;
        $hosts[$at] = $host;

        return $this->with(hosts: array_values($hosts));
    }

    /**
     * @param  list<Host>|null  $hosts
     * @param  array<int, Reader>|null  $readers
     * @param  array<int, Drive>|null  $drives
     */
    private function with(?array $hosts = null, ?array $readers = null, ?array $drives = null, ?Rules $rules = null): Question
    {
        return new Question(
            $hosts ?? $this->question->hosts,
            array_values($readers ?? $this->question->readers),
            array_values($drives ?? $this->question->drives),
            $this->question->cards,
            links: $this->question->links,
            rules: $rules ?? $this->question->rules,
        );
    }
}
