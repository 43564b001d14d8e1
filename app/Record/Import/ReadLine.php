<?php

declare(strict_types=1);

namespace App\Record\Import;

/** A line of a file as what a device would have sent: one event, or several that go together. */
final readonly class ReadLine
{
    /**
     * @param  non-empty-list<array<string, mixed>>  $items  each with a key `id`
     * @param  string  $formerId  that an earlier version gave it
     * @param  string  $into  names the kind that takes it in, where a file goes into several
     * @param  string|null  $doubt  what is hard to believe about it, in the technician's words; it is kept all the same
     */
    public function __construct(
        public array $items,
        public string $formerId,
        public string $into = '',
        public ?string $doubt = null,
    ) {
    }
}
