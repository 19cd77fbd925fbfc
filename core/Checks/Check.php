<?php

declare(strict_types=1);

namespace SilentKeep\Core\Checks;

/** One question about the rules of a course, answered by asking the engine as its viewers would. */
interface Check
{
    /** @return iterable<Finding> */
    public function find(Survey $survey): iterable;
}
