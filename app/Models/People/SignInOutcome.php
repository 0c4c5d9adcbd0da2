<?php

declare(strict_types=1);

namespace App\Models\People;

/** What came of a try to sign in. */
enum SignInOutcome: string
{
    case In = 'signed in';
    case Out = 'signed out';
    case Wrong = 'wrong name or password';
    case TooMany = 'too many tries';
    case Disabled = 'may no longer';
    case Changed = 'changed the password';
}
