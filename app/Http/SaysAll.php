<?php

declare(strict_types=1);

namespace App\Http;

/**
 * A resource with no field that may be missing. The framework would look through all of it, thousands of places deep,
 * for such fields: a fifth of a board's time.
 */
trait SaysAll
{
    /**
     * @param  array<mixed>  $data
     * @return array<mixed>
     */
    protected function filter($data): array
    {
        return $data;
    }
}
