<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\People\Ability;
use App\Models\People\Role;
use App\Models\People\SignIn;
use App\Models\People\User;
use App\Models\Runs\Run;
use App\People\PeopleBook;
use Illuminate\Support\Facades\Route;
use Inertia\Testing\AssertableInertia;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Who gets in, what they may do, and what is written down of it. */
final class AccountsTest extends TestCase
{
    private const PASSWORD = 'twelve gritty letters';

    private function people(): void
    {
        foreach (['Wren' => Role::Lead, 'Moss' => Role::Technician, 'Teal' => Role::Viewer] as $name => $role) {
            PeopleBook::enter($name, $role, self::PASSWORD);
        }
    }

    private function signIn(string $name, string $password = self::PASSWORD): void
    {
        $this->post('/sign-in', ['name' => $name, 'password' => $password])->assertRedirect('/intake');
    }

    public function test_a_house_of_one_on_this_machine_is_open_and_says_so(): void
    {
        $this->get('/intake')
            ->assertOk()
            ->assertInertia(fn (AssertableInertia $page): AssertableInertia => $page->where('who.role', 'open')->where('who.name', null));
        $this->command('tally:lead', ['--if-none' => true])
            ->expectsOutputToContain('Sign in as lead with ')
            ->assertSuccessful();
        $this->command('tally:lead', ['--if-none' => true])
            ->doesntExpectOutputToContain('Sign in')
            ->assertSuccessful();
        $this->get('/intake')->assertOk();
        // Any other address, or the settings, and everybody signs in, one person or many.
        foreach (
            [
                ['tally.listen' => '192.0.2.7'],
                ['tally.listen' => '0.0.0.0'],
                ['tally.open' => 'never'],
                ['tally.behind_proxy' => true],
            ] as $setting
        ) {
            $before = config()->all()['tally'];
            config($setting);
            $this->app['auth']->forgetGuards();
            $this->get('/intake')->assertRedirect('/sign-in?to=%2Fintake');
            config(['tally' => $before]);
        }
    }

    public function test_nobody_who_has_not_signed_in_is_told_or_may_change_anything(): void
    {
        $this->people();
        $card = $this->card();
        $asked = 0;
        foreach (Route::getRoutes()->getRoutes() as $route) {
            if (in_array($route->uri(), ['sign-in', 'sign-in/once/{token}', 'up', 'storage/{path}'], true)) {
                continue;
            }
            $path = str_replace(['{card}', '{kind}', '{key}', '{card?}'], [$card->tag, 'cables', 'K1', $card->tag], $route->uri());
            $path = (string) preg_replace('/\{\w+\??\}/', '1', $path);
            foreach (array_diff($route->methods(), ['HEAD']) as $method) {
                $answer = $this->call($method, '/'.ltrim($path, '/'));
                self::assertTrue(
                    in_array($answer->getStatusCode(), [302, 404], true),
                    "{$method} {$path} answered {$answer->getStatusCode()}",
                );
                self::assertStringNotContainsString('Tindle', (string) $answer->getContent(), "{$method} {$path}");
                if ($answer->getStatusCode() === 302) {
                    self::assertStringContainsString('/sign-in', (string) $answer->headers->get('Location'), "{$method} {$path}");
                }
                $asked++;
            }
        }
        self::assertGreaterThan(80, $asked);
        $this->getJson('/pulse')->assertUnauthorized();
        $this->get('/sign-in')
            ->assertOk()
            ->assertInertia(fn (AssertableInertia $page): AssertableInertia => $page->component('SignIn', false)->where('frame', null));
    }

    public function test_signing_in_and_out_is_written_down_and_leads_back_to_where_one_was(): void
    {
        $this->people();
        $this->card();
        $this->post('/sign-in', ['name' => 'Wren', 'password' => 'wrong'])->assertSessionHasErrors('name');
        $this->post('/sign-in', ['name' => 'Wren', 'password' => self::PASSWORD, 'to' => '/prove/T-1'])->assertRedirect('/prove/T-1');
        $this->get('/prove/T-1')
            ->assertOk()
            ->assertInertia(
                fn (AssertableInertia $page): AssertableInertia => $page
                    ->where('who.name', 'Wren')
                    ->where('who.role', 'lead')
                    ->where('by', 'Wren'),
            );
        $this->post('/sign-out')->assertRedirect('/sign-in');
        $this->get('/prove/T-1')->assertRedirect();
        foreach (['//evil.example', '/\\evil.example', 'https://evil.example', "/a\nb"] as $elsewhere) {
            $this->post('/sign-in', ['name' => 'Wren', 'password' => self::PASSWORD, 'to' => $elsewhere])->assertRedirect('/intake');
            $this->post('/sign-out');
        }
        self::assertSame(
            ['wrong name or password', 'signed in', 'signed out'],
            SignIn::query()->orderBy('id')->limit(3)->get()->map(fn (SignIn $one): string => $one->outcome->value)->all(),
        );
    }

    public function test_a_sitting_ends_after_twelve_hours_and_with_a_new_password(): void
    {
        $this->people();
        $this->signIn('Wren');
        $this->travel(11)->hours();
        $this->get('/intake')->assertOk();
        $this->travel(2)->hours();
        $this->get('/intake')->assertRedirect('/sign-in?to=%2Fintake');
        $this->signIn('Wren');
        // Somebody else gives this person a new password: what was signed in with the old one is over.
        $this->get('/intake')->assertOk();
        User::query()
            ->where('name', 'Wren')
            ->firstOrFail()
            ->forceFill(['password' => 'another long password'])
            ->save();
        $this->app['auth']->forgetGuards();
        $this->get('/intake')->assertRedirect();
    }

    public function test_a_password_for_once_is_changed_before_anything_else(): void
    {
        $this->people();
        $once = PeopleBook::enter('Pip', Role::Technician);
        $this->signIn('Pip', $once);
        $this->get('/intake')->assertRedirect('/password');
        $this->post('/cards', [])->assertRedirect('/password');
        foreach (
            [['now' => 'wrong'], ['password' => 'short'], ['again' => 'otherwise'], ['password' => $once, 'again' => $once]] as $wrong
        ) {
            $this->put('/password', [
                'now' => $once,
                'password' => 'a password of my own',
                'again' => 'a password of my own',
                ...$wrong,
            ])->assertSessionHasErrors();
        }
        $this->put('/password', ['now' => $once, 'password' => 'a password of my own', 'again' => 'a password of my own'])->assertRedirect(
            '/intake',
        );
        $this->get('/intake')->assertOk();
    }

    /** @return iterable<string, array{string, list<Ability>}> */
    public static function roles(): iterable
    {
        yield 'lead' => ['Wren', Ability::cases()];
        yield 'technician' => ['Moss', [Ability::Write, Ability::Erase, Ability::Void]];
        yield 'viewer' => ['Teal', []];
    }

    /** @param  list<Ability>  $may */
    #[DataProvider('roles')]
    public function test_each_role_does_what_it_may_and_is_told_what_it_may_not(string $name, array $may): void
    {
        $card = $this->card(['stand_in' => null, 'footage' => 5]);
        $run = $this->conduct($this->card(['tag' => 'T-2']), 'speed', 'Tray 3');
        $this->people();
        $this->signIn($name);
        $acts = [
            [Ability::Write, 'post', '/cards/T-1/footage', ['footage' => '1 GB']],
            [Ability::Write, 'post', '/cards/T-2/runs', ['kind' => 'speed', 'slot' => $this->slot('Tray 3')->id]],
            [Ability::Erase, 'post', '/cards/T-1/clear', ['why' => 'on D1']],
            [Ability::Void, 'post', "/runs/{$run->id}/void", ['reason' => 'wrong card']],
            [Ability::Overrule, 'post', '/cards/T-1/overrule', ['verdict' => 'Sound', 'reason' => 'known well']],
            [Ability::People, 'post', '/people', ['name' => 'Pip', 'role' => 'viewer']],
        ];
        foreach ($acts as [$ability, $method, $path, $data]) {
            $answer = $this->{$method}($path, $data); // @phpstan-ignore method.dynamicName
            in_array($ability, $may, true) ? $answer->assertSessionHasNoErrors() : $answer->assertSessionHasErrors('may');
        }
        self::assertSame(in_array(Ability::Erase, $may, true) ? 0 : 5, $card->refresh()->footage->count);
        self::assertSame(in_array(Ability::Void, $may, true), $run->refresh()->void !== null);
        // Looking is open to all of them, and so is what is asked while somebody types.
        $this->get('/measure/T-1')->assertOk();
        $this->postJson('/intake/preview', ['line' => '64GB'])->assertOk();
        in_array(Ability::People, $may, true) ? $this->get('/people')->assertOk() : $this->get('/people')->assertSessionHasErrors('may');
    }

    public function test_what_somebody_does_carries_their_own_name_whatever_the_form_says(): void
    {
        $this->card();
        $this->people();
        $this->signIn('Moss');
        $this->post('/cards/T-1/footage', ['footage' => '1 GB', 'by' => 'Wren'])->assertSessionHasNoErrors();
        self::assertSame('Moss', \App\Models\Cards\FootageAct::query()->firstOrFail()->recorded_by);
        $this->post('/cards/T-1/runs', [
            'kind' => 'speed',
            'slot' => $this->slot('Tray 3')->id,
            'by' => 'Wren',
        ])->assertSessionHasNoErrors();
        self::assertSame('Moss', Run::query()->firstOrFail()->recorded_by);
    }

    public function test_people_are_managed_by_leads_and_one_lead_always_stays(): void
    {
        $this->people();
        $this->signIn('Wren');
        $this->post('/people', ['name' => 'Pip', 'role' => 'technician'])
            ->assertSessionHasNoErrors()
            ->assertSessionHas('once');
        $this->post('/people', ['name' => 'Pip', 'role' => 'viewer'])->assertSessionHasErrors('name');
        $wren = User::query()->where('name', 'Wren')->firstOrFail();
        $this->put("/people/{$wren->id}/role", ['role' => 'viewer'])->assertSessionHasErrors('person');
        $this->post("/people/{$wren->id}/disable")->assertSessionHasErrors('person');
        $moss = User::query()->where('name', 'Moss')->firstOrFail();
        $this->put("/people/{$moss->id}/role", ['role' => 'lead'])->assertSessionHasNoErrors();
        self::assertSame(Role::Lead, $moss->refresh()->role);
        $this->post("/people/{$moss->id}/disable")->assertSessionHasNoErrors();
        $this->get('/people')
            ->assertOk()
            ->assertInertia(fn (AssertableInertia $page): AssertableInertia => $page->where('people.0.disabled', true));
        $this->post('/sign-out');
        $this->post('/sign-in', ['name' => 'Moss', 'password' => self::PASSWORD])->assertSessionHasErrors('name');
        self::assertSame('may no longer', SignIn::query()->latest('id')->firstOrFail()->outcome->value);
    }
}
