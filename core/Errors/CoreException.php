<?php

declare(strict_types=1);

namespace SilentKeep\Core\Errors;

/** Every exception that the core throws on purpose carries this type. */
interface CoreException extends \Throwable
{
}
