<?php

declare(strict_types=1);

namespace App\Record;

use Illuminate\Database\Eloquent\Model;

/** One kind of event: how an item of it is read against what is on record, and what hangs on it. */
interface Kind
{
    /** @return class-string<Model> with the columns of the envelope */
    public function model(): string;

    /** Whether a later event of this kind can take the place of an earlier one. */
    public function canSupersede(): bool;

    /**
     * Whether an event only takes the earlier one back.
     *
     * @param  array<string, mixed>  $row
     */
    public function takesBack(array $row): bool;

    /** Wording where an item is no list of fields at all, and where the event that it would take the place of no longer holds. */
    public function wording(): KindWording;

    /**
     * @return array<string, mixed> the columns of its own, all of them on every call
     *
     * @throws Refused where it cannot be
     * @throws Doubted where it is hard to believe
     */
    public function read(Fields $fields, Envelope $envelope): array;

    /**
     * Notes what hangs on events that were stored.
     *
     * @param  list<array<string, mixed>>  $rows  as they were stored
     * @param  list<array<string, mixed>>  $superseded  rows whose place they take
     */
    public function touch(array $rows, array $superseded, Touched $touched): void;
}
