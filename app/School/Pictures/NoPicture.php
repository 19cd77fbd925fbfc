<?php

declare(strict_types=1);

namespace App\School\Pictures;

use RuntimeException;

/** What was uploaded cannot be drawn; the message is for whoever uploaded it. */
final class NoPicture extends RuntimeException
{
}
