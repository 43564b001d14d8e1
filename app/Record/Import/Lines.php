<?php

declare(strict_types=1);

namespace App\Record\Import;

/** Takes the lines of one kind of file in, in the transaction of the import. */
interface Lines
{
    /** @throws RefusedLine */
    public function read(LineFields $line): ReadLine;

    /**
     * @param  array<int, array<string, mixed>>  $read  by line number
     * @return int how many of them were not on record yet
     */
    public function keep(array $read): int;

    /**
     * After the last line: brings everything that hangs on it up to date.
     *
     * @return array<int, string> lines that turn out not to go with the record, by number, with the reason
     */
    public function finish(): array;
}
