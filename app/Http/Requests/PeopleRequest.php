<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\People\PeopleFilter;
use Illuminate\Foundation\Http\FormRequest;

/** A list of people as an address names it. */
final class PeopleRequest extends FormRequest
{
    use ReadsPeopleFilter;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [];
    }

    public function filter(): PeopleFilter
    {
        return self::filterOf($this->query());
    }

    /** @return array<string, string> */
    public function asked(): array
    {
        return self::askedOf($this->query());
    }

    public function page(): int
    {
        $page = $this->query('page');

        return is_numeric($page) ? (int) $page : 1;
    }
}
