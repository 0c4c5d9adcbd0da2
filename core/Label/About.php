<?php

declare(strict_types=1);

namespace Tally\Label;

/** What a finding is about. */
enum About: string
{
    /** What is printed on the card, and the codes by which it is told from others. */
    case Label = 'label';
    /** Its shell, its contacts, how it sits in a slot. */
    case Contact = 'contact';
    case Price = 'price';
}
