<?php

declare(strict_types=1);

use App\Http\ErrorPage;
use App\Http\Middleware\CountOnce;
use App\Http\Middleware\KeepSession;
use App\Http\Middleware\LongQuestion;
use App\Http\Middleware\May;
use App\Http\Middleware\NoStaleSave;
use App\Http\Middleware\OwnNamesOnly;
use App\Http\Middleware\ReadFromReplica;
use App\Http\Middleware\ShareFrame;
use App\Http\Middleware\SignedIn;
use App\Http\RefusedByBooks;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Routing\Middleware\SubstituteBindings;
use Illuminate\Session\Middleware\AuthenticateSession;
use Illuminate\Session\Middleware\StartSession;
use Tally\Offload\Search\NoLongerWanted;

// What it keeps is nobody else's to read.
umask(0077);

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(web: __DIR__.'/../routes/web.php', health: '/up')
    ->withCommands([__DIR__.'/../app/Console/Commands'])
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->prepend(OwnNamesOnly::class);
        $middleware->redirectGuestsTo('/sign-in');
        // Whoever is not signed in is not told either which cards there are.
        $middleware->prependToPriorityList(SubstituteBindings::class, SignedIn::class);
        $middleware->prependToPriorityList(SubstituteBindings::class, ReadFromReplica::class);
        $middleware->alias(['may' => May::class, 'seen' => NoStaleSave::class, 'long' => LongQuestion::class]);
        $middleware->web(
            append: [SignedIn::class, AuthenticateSession::class, ReadFromReplica::class, ShareFrame::class, CountOnce::class],
            replace: [StartSession::class => KeepSession::class],
        );
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->dontReport(NoLongerWanted::class);
        $exceptions->render(
            function (Throwable $fault, Request $request): RedirectResponse|JsonResponse|Response|null {
                return RefusedByBooks::answer($fault, $request) ?? ErrorPage::page($fault, $request);
            },
        );
    })
    ->create();
