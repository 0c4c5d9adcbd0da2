<?php

declare(strict_types=1);

namespace App\Books;

/** The books of the house as they go out: each a table, whose columns docs/books.schema.json describes. */
enum Book: string
{
    case Cards = 'cards';
    case Runs = 'runs';
    case Inspections = 'inspections';
    case Incidents = 'incidents';
    case Footage = 'footage';
    case Copies = 'copies';
    case Bursts = 'bursts';
    case Shoots = 'shoots';
    case Erasures = 'erasures';
    case Prices = 'prices';
    case Readers = 'readers';
    case Drives = 'drives';
    case Hosts = 'hosts';
    case Modes = 'modes';
    case Rules = 'rules';

    public function words(): string
    {
        return match ($this) {
            self::Cards => 'cards',
            self::Runs => 'runs and proofs',
            self::Inspections => 'inspections',
            self::Incidents => 'incidents',
            self::Footage => 'footage on cards',
            self::Copies => 'offloaded copies',
            self::Bursts => 'bursts',
            self::Shoots => 'shoots and their cards',
            self::Erasures => 'what was erased',
            self::Prices => 'prices',
            self::Readers => 'readers',
            self::Drives => 'drives',
            self::Hosts => 'hosts and their ports',
            self::Modes => 'cameras and modes',
            self::Rules => 'house rules',
        };
    }

    /** Whether its rows are of cards, so that a filter by card takes some and leaves others. */
    public function isOfCards(): bool
    {
        return ! in_array($this, [self::Prices, self::Readers, self::Drives, self::Hosts, self::Modes, self::Rules], true);
    }

    /** @return list<string> in order; sizes in bytes, speeds in bytes a second, times in UTC */
    public function columns(): array
    {
        return match ($this) {
            self::Cards => [
                'tag', 'name', 'label', 'form', 'family', 'bus', 'marks', 'capacity', 'read', 'write', 'sustained', 'verdict', 'overruled',
                'next_step', 'keeps_up', 'footage', 'serial', 'lot', 'seller', 'price', 'currency', 'bought_on', 'due_on', 'due_why',
                'retired_on', 'retired_why', 'recorded_by', 'entered_at',
            ],
            self::Runs => [
                'run', 'card', 'kind', 'state', 'station', 'chain', 'source', 'void', 'beside', 'region', 'write', 'read', 'lowest',
                'written', 'read_back', 'wrong', 'condition', 'capacity', 'reinserted', 'recorded_by', 'started_at', 'ended_at',
            ],
            self::Inspections => ['card', 'question', 'answer', 'reader', 'by', 'withdrawn', 'at'],
            self::Incidents => ['card', 'kind', 'line', 'reader', 'camera', 'by', 'happened_at', 'written_at'],
            self::Footage => ['card', 'bytes', 'files', 'note', 'by', 'at'],
            self::Copies => [
                'offload', 'card', 'drive', 'copy', 'state', 'bytes', 'files', 'copied_at', 'verified_at', 'message', 'made_up',
            ],
            self::Bursts => ['card', 'camera', 'frames', 'frame', 'frames_per_second', 'clear_seconds', 'by', 'at'],
            self::Shoots => ['shoot', 'begins', 'days', 'card', 'place', 'by'],
            self::Erasures => ['card', 'what', 'path', 'bytes', 'person', 'station', 'why', 'at'],
            self::Prices => ['model', 'form', 'tier', 'capacity', 'price', 'currency', 'quoted_on', 'source', 'by'],
            self::Readers => ['tag', 'name', 'uplink', 'is_camera', 'measured', 'measured_how', 'by'],
            self::Drives => ['tag', 'name', 'link', 'write', 'read', 'capacity', 'free', 'measured_how', 'by'],
            self::Hosts => ['host', 'port', 'link', 'measured', 'measured_how'],
            self::Modes => [
                'camera', 'mode', 'kind', 'writes', 'shot', 'frames_per_second', 'asks_mark', 'refuses', 'records', 'proxy_writes',
            ],
            self::Rules => ['name', 'value', 'by', 'why', 'changed_at'],
        };
    }
}
