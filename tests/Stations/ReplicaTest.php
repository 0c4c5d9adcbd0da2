<?php

declare(strict_types=1);

namespace Tests\Stations;

use App\Models\Cards\Card;
use Database\Seeders\DemoGear;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use PDO;
use Tools\Trial\FreePort;
use Tools\Trial\Scale\ReplicaServer;
use Tools\Trial\ScratchDatabase;

/** Two real database servers, the second following the first: pages are read from it, and none is older than the books. */
final class ReplicaTest extends StationTestCase
{
    private ScratchDatabase $books;

    private ReplicaServer $replica;

    private string $folder;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = $this->inMemory();
        mkdir("{$this->folder}/replica");
        $this->books = new ScratchDatabase($this->folder, [
            'DB_LISTEN' => '127.0.0.1',
            'DB_PORT' => (string) FreePort::take(),
            'DB_REPLICAS' => '1',
        ]);
        $this->books->start();
        $said = $this->books->ask('replica', 'reading');
        $this->replica = new ReplicaServer("{$this->folder}/replica", '127.0.0.1', "{$this->folder}/db/tls.pem", $said);
        $this->books->begin();
        $this->seed(DemoGear::class);
        // As another machine reads it: over TLS, under an account that comes in over nothing else.
        preg_match('/^DB_PASSWORD=(.+)$/m', $this->books->ask('bench', 'web'), $password);
        config([
            'database.connections.replica.host' => '127.0.0.1',
            'database.connections.replica.port' => (string) $this->replica->port,
            'database.connections.replica.database' => ScratchDatabase::NAME,
            'database.connections.replica.username' => 'bench-web',
            'database.connections.replica.password' => $password[1] ?? '',
            'database.connections.replica.options' => [PDO::MYSQL_ATTR_SSL_CA => "{$this->folder}/db/tls.pem"],
        ]);
    }

    protected function tearDown(): void
    {
        config(['database.connections.replica.host' => '']);
        DB::purge('replica');
        $this->replica->end();
        $this->books->end();
        parent::tearDown();
    }

    /** @return array{mixed, int} what a page says of the card, and how much of it the replica was asked */
    private function read(Card $card): array
    {
        $before = $this->replica->asked();
        $line = $this->inTray($card->tag)['line'];

        return [$line, $this->replica->asked() - $before];
    }

    public function test_pages_are_read_from_the_replica_and_none_is_older_than_the_books(): void
    {
        $card = $this->card();
        // Whatever was written a moment ago is on the next page, which the replica was asked for.
        $answered = 0;
        foreach (range(1, 20) as $time) {
            Card::query()->toBase()->update(['line' => "line {$time}"]);
            [$line, $asked] = $this->read($card);
            self::assertSame("line {$time}", $line);
            $answered += $asked > 1 ? 1 : 0;
        }
        // Where it was late, as on a machine that has much to do, the books were asked.
        self::assertGreaterThan(10, $answered);
        // What is sent goes by the books alone.
        $before = $this->replica->asked();
        $this->post("/cards/{$card->tag}/footage", ['footage' => '4 GB', 'by' => 'Wren'])->assertSessionHasNoErrors();
        self::assertSame($before, $this->replica->asked());
        // One that falls behind is waited for, not for long, and not believed.
        $this->replica->say('STOP SLAVE SQL_THREAD');
        Card::query()->toBase()->update(['line' => 'while it was behind']);
        self::assertSame('while it was behind', $this->read($card)[0]);
        $this->replica->say('START SLAVE SQL_THREAD');
        self::assertGreaterThan(1, $this->read($card)[1]);
        // Books that keep no log have no replica, whatever stands at that address.
        $this->books->stop();
        $plain = new ScratchDatabase($this->folder);
        $plain->start();
        DB::purge();
        self::assertSame(0, $this->read($card)[1]);
        $plain->stop();
        $this->books->start();
        DB::purge();
        // One that is away is missed by nobody, and left alone for a while.
        $this->replica->end();
        DB::purge('replica');
        self::assertSame('while it was behind', $this->inTray($card->tag)['line']);
        self::assertTrue(Cache::has('replica-away'));
    }
}
