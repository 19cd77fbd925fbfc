<?php

declare(strict_types=1);

namespace App\Notices\Parts;

/** What somebody's own button on a notice does. */
enum ButtonDoes: string
{
    /** Opens a lesson of the course: its key. */
    case Lesson = 'lesson';
    /** Leads to an offer of the course: its key. */
    case Offer = 'offer';
    /** A page of this site, or one elsewhere. */
    case Address = 'address';
    /** An e-mail address. */
    case Mail = 'mail';
}
