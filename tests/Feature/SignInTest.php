<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\People\Role;
use App\Models\People\SignIn;
use App\Models\People\SignInOutcome;
use App\Models\People\User;
use App\People\PeopleBook;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** Trying to get in, and who is kept waiting for it. */
final class SignInTest extends TestCase
{
    private const PASSWORD = 'twelve gritty letters';

    protected function setUp(): void
    {
        parent::setUp();
        foreach (['Wren' => Role::Lead, 'Moss' => Role::Technician] as $name => $role) {
            PeopleBook::enter($name, $role, self::PASSWORD);
        }
    }

    /** @return TestResponse<Response> */
    private function try(string $name, string $password = 'guess', string $address = '192.0.2.1'): TestResponse
    {
        $this->app['auth']->forgetGuards();
        $this->flushSession();

        return $this->withServerVariables(['REMOTE_ADDR' => $address])->post('/sign-in', ['name' => $name, 'password' => $password]);
    }

    private static function last(): SignInOutcome
    {
        return SignIn::query()->latest('id')->firstOrFail()->outcome;
    }

    /** @return iterable<string, array{string}> however the books take it for the same name */
    public static function writtenOtherwise(): iterable
    {
        yield 'as it is' => ['Wren'];
        yield 'small' => ['wren'];
        yield 'with an accent' => ['Wrén'];
        yield 'with a mark after it' => ["Wre\u{0301}n"];
        yield 'wide' => ["\u{FF37}ren"];
        yield 'with spaces' => [' Wren '];
    }

    #[DataProvider('writtenOtherwise')]
    public function test_a_name_is_one_name_however_it_is_written(string $name): void
    {
        foreach (range(1, 5) as $i) {
            $this->try($i === 3 ? 'Wren' : $name)->assertSessionHasErrors('name');
        }
        self::assertSame(SignInOutcome::Wrong, self::last());
        $this->try($name, self::PASSWORD)->assertSessionHasErrors('name');
        self::assertSame(SignInOutcome::TooMany, self::last());
        // Another name at that address, and the same one at another, are kept out by none of it.
        $this->try('Moss', self::PASSWORD)->assertRedirect('/intake');
        $this->try('Wren', self::PASSWORD, '192.0.2.2')->assertRedirect('/intake');
    }

    public function test_each_further_try_costs_a_little_more(): void
    {
        foreach (range(1, 5) as $i) {
            $this->try('Wren');
        }
        foreach ([10, 20, 30] as $wait) {
            $this->try('Wren')->assertSessionHasErrors(['name' => "Too many tries. Wait {$wait} s, then try again. Whoever is at the ".
                'station’s terminal gets in at once with php artisan tally:sign-in.']);
            $this->travel($wait)->seconds();
            $this->try('Wren');
            self::assertSame(SignInOutcome::Wrong, self::last());
        }
        $this->travel(2)->hours();
        $this->try('Wren', self::PASSWORD)->assertRedirect('/intake');
    }

    public function test_whoever_was_signed_in_there_before_is_kept_out_by_nobody_else(): void
    {
        $known = $this->try('Wren', self::PASSWORD)->assertRedirect('/intake')->getCookie('tally_known')?->getValue();
        self::assertNotNull($known);
        foreach (range(1, 60) as $i) {
            $this->try($i % 2 === 0 ? 'Wren' : "name {$i}");
        }
        $this->try('Wren', self::PASSWORD)->assertSessionHasErrors('name');
        $this->try('Moss', self::PASSWORD)->assertSessionHasErrors('name');
        $this->withCookie('tally_known', $known)->try('Wren', self::PASSWORD)->assertRedirect('/intake');
        // It is of the person who signed in there, and lets nobody in by itself.
        $this->withCookie('tally_known', $known)->try('Moss', self::PASSWORD)->assertSessionHasErrors('name');
        foreach (range(1, 5) as $i) {
            $this->withCookie('tally_known', $known)->try('Wren');
        }
        $this->withCookie('tally_known', $known)->try('Wren', self::PASSWORD)->assertSessionHasErrors('name');
    }

    public function test_the_terminal_lets_in_once(): void
    {
        foreach (range(1, 40) as $i) {
            $this->try('Wren');
        }
        self::assertSame(0, $this->artisanCommand(['name' => 'Wren', '--at' => 'http://127.0.0.1:9/']));
        $address = trim(Artisan::output());
        self::assertMatchesRegularExpression('#^http://127\.0\.0\.1:9/sign-in/once/[A-Za-z0-9]{40}$#', $address);
        $path = substr($address, strlen('http://127.0.0.1:9'));
        $this->get($path)->assertRedirect('/intake');
        $this->get('/intake')->assertOk();
        $this->post('/sign-out');
        $this->get($path)->assertRedirect('/sign-in')->assertSessionHasErrors('name');
        // Neither late nor for somebody who may no longer.
        $this->artisanCommand([]);
        $late = substr(trim(Artisan::output()), strlen('http://127.0.0.1:8470'));
        $this->travel(11)->minutes();
        $this->get($late)->assertRedirect('/sign-in');
        $this->get('/intake')->assertRedirect();
        self::assertSame(1, $this->artisanCommand(['name' => 'Nobody']));
    }

    /** @param  array<string, string>  $arguments */
    private function artisanCommand(array $arguments): int
    {
        return Artisan::call('tally:sign-in', $arguments);
    }

    public function test_passwords_count_to_their_last_letter_and_those_of_before_still_hold(): void
    {
        $long = str_repeat('gritty ', 14);
        $moss = User::query()->where('name', 'Moss')->firstOrFail();
        $moss->forceFill(['password' => $long.'end'])->save();
        $this->try('Moss', $long.'and')->assertSessionHasErrors('name');
        $this->try('Moss', $long.'end')->assertRedirect('/intake');
        // One that bcrypt had hashed is hashed anew; where it was cut, it is to be chosen anew.
        $of = fn (string $password): string => password_hash($password, PASSWORD_BCRYPT, ['cost' => 4]);
        User::query()->whereKey($moss->id)->toBase()->update(['password' => $of(self::PASSWORD)]);
        $this->try('Moss', self::PASSWORD)->assertRedirect('/intake');
        self::assertStringStartsWith('$argon2id$', $moss->refresh()->password);
        self::assertFalse($moss->must_change);
        User::query()->whereKey($moss->id)->toBase()->update(['password' => $of($long)]);
        $this->try('Moss', $long)->assertRedirect('/intake');
        self::assertTrue($moss->refresh()->must_change);
    }

    /** @return iterable<string, array{string, string}> */
    public static function odd(): iterable
    {
        yield 'NUL in the password' => ['Wren', "twelve gritty letters\0"];
        yield 'no text in the name' => ["\xff\xfe", self::PASSWORD];
        yield 'no text in the password' => ['Wren', "\xff\xfe"];
        yield 'a name of one letter many times' => [str_repeat('W', 80), 'x'];
        yield 'of four bytes a letter' => [str_repeat('🪨', 80), str_repeat('🪨', 200)];
    }

    #[DataProvider('odd')]
    public function test_whatever_is_typed_is_answered_with_a_sentence(string $name, string $password): void
    {
        $this->try($name, $password)->assertRedirect()->assertSessionHasErrors();
        self::assertFalse($this->isAuthenticated());
    }

    public function test_somebody_whose_sitting_is_over_signs_in_where_they_are(): void
    {
        $this->postJson('/cards', ['tag' => 'QS-1'])->assertUnauthorized();
        $this->post('/cards', ['tag' => 'QS-1'], ['X-Inertia' => 'true'])->assertUnauthorized();
        $json = ['Accept' => 'application/json'];
        $this->post('/sign-in', ['name' => 'Wren', 'password' => 'guess'], $json)->assertJsonValidationErrors('name');
        $this->post('/sign-in', ['name' => 'Wren', 'password' => self::PASSWORD], $json)->assertOk()->assertJson(['name' => 'Wren']);
        $this->get('/intake')->assertOk();
    }
}
