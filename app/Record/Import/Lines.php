<?php

declare(strict_types=1);

namespace App\Record\Import;

use App\Record\Kind;
use App\Record\Refused;

/** Reads the lines of one kind of file as what a device would have sent. */
interface Lines
{
    /**
     * @throws RefusedLine
     * @throws Refused
     */
    public function read(LineFields $line): ReadLine;

    /** What takes lines in that were read with this name. */
    public function kind(string $into): Kind;

    /** Whether lines that are good by themselves may yet get into each other's way. */
    public function canBeImpossible(): bool;

    /**
     * Whether the record as it now is can be true.
     *
     * @throws RefusedEvent naming the event that cannot
     */
    public function hold(): void;
}
