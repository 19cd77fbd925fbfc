<?php

declare(strict_types=1);

namespace App\School\Tokens;

/** What a token may do. */
enum Ability: string
{
    /** Ask what somebody may see, and look at Sightlines. */
    case Decide = 'decide';

    case ReadCourses = 'read-courses';

    /** Their drafts; what learners see stays as it is. */
    case EditDrafts = 'edit-drafts';

    case Publish = 'publish';

    case ReadPeople = 'read-people';

    /** Passes, labels, grants, and people themselves. */
    case ChangePeople = 'change-people';

    /** For good, with all that names them. */
    case ErasePeople = 'erase-people';

    /** What learners have finished. */
    case RecordProgress = 'record-progress';

    /** Those that systems of others were told. */
    case ReadEvents = 'read-events';

    /** Has one told again. */
    case ReplayEvents = 'replay-events';
}
