<?php

declare(strict_types=1);

namespace App\Record;

/** One kind of event, with `#[Declared]` on its class: how an item of it is read against what is on record, and what hangs on it. */
interface Kind
{
    /**
     * @return array<string, mixed> the columns of its own, all of them on every call
     *
     * @throws Refused where it cannot be
     * @throws Doubted where it is hard to believe
     */
    public function read(Fields $fields, Envelope $envelope): array;

    /**
     * Whether an event only takes the earlier one back.
     *
     * @param  array<string, mixed>  $row
     */
    public function takesBack(array $row): bool;

    /**
     * Notes what hangs on events that were stored.
     *
     * @param  list<array<string, mixed>>  $rows  as they were stored
     * @param  list<array<string, mixed>>  $superseded  rows whose place they take
     */
    public function affect(array $rows, array $superseded, Affected $affected): void;
}
