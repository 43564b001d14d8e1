<?php

declare(strict_types=1);

namespace App\Record\Import;

/** A line that can be imported. */
final readonly class ReadLine
{
    /**
     * @param  array<string, mixed>  $kept  what is to be kept, with a key `id`
     * @param  string|null  $doubt  what is hard to believe about it, in the technician's words; it is kept all the same
     */
    public function __construct(public array $kept, public ?string $doubt = null)
    {
    }
}
