<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Planter;
use App\Models\User;
use App\Models\Workshop;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Str;

/**
 * The one way into the record: what is sent again is known, an id is taken once, only what holds is superseded, and each
 * item is judged by its kind. To be called within a Change, which holds the planter or the workshop whose record it is.
 */
final readonly class Inbox
{
    /** So many lines go to the database at a time; its driver takes 65,535 values. */
    private const CHUNK = 1000;

    /** The column of the events that says whose they are. */
    private string $owner;

    public function __construct(
        private Planter|Workshop $of,
        private User $by,
    ) {
        $this->owner = $of instanceof Planter ? 'planter_id' : 'workshop_id';
    }

    /**
     * Each item on its own.
     *
     * @param  list<mixed>  $items
     * @return list<Receipt> one for each item, in the same order
     */
    public function take(Kind $kind, array $items, Affected $affected): array
    {
        $declared = Declared::by($kind);
        $events = $this->onRecord($declared, $items);
        $receipts = $accepted = $superseded = [];
        foreach ($items as $index => $item) {
            $id = self::idOf($item);
            try {
                $fields = Fields::of($item, $declared->item);
                $envelope = Envelope::of($fields, $declared);
                $known = $events[$envelope->id] ?? null;
                if ($known !== null) {
                    $receipts[] = $this->isSame($known, $envelope) ? Receipt::of($index, $envelope->id, Outcome::Known) : Receipt::conflict($index, $envelope->id);

                    continue;
                }
                $target = $this->target($declared, $envelope, $events);
                $row = $kind->read($fields, $envelope) + [$this->owner => $this->of->id] + $envelope->columns($this->by->id);
                if ($target !== null) {
                    $superseded[] = $target;
                    $events[$target['id']]['later'] = $envelope->id;
                }
                $accepted[] = $row;
                $events[$envelope->id] = ['withdrawn' => $kind->takesBack($row), 'later' => null] + $row;
                $receipts[] = Receipt::of($index, $envelope->id, Outcome::Stored);
            } catch (Refused $refused) {
                $receipts[] = Receipt::refused($index, $id, $refused);
            } catch (Doubted $doubted) {
                $receipts[] = Receipt::doubtful($index, (string) $id, $doubted);
            }
        }
        $this->store($declared->model, $accepted);
        $kind->affect($accepted, $superseded, $affected);

        return $receipts;
    }

    /**
     * All of it, or nothing.
     *
     * @param  list<mixed>  $items
     * @return list<Receipt>
     *
     * @throws NotTaken
     */
    public function takeWhole(Kind $kind, array $items, Affected $affected): array
    {
        $receipts = $this->take($kind, $items, $affected);
        foreach ($receipts as $receipt) {
            if (! $receipt->outcome->isTaken()) {
                throw new NotTaken($receipts);
            }
        }

        return $receipts;
    }

    /**
     * @param  array<string, mixed>  $known
     */
    private function isSame(array $known, Envelope $envelope): bool
    {
        // What was recorded before there were digests is taken for the same.
        return $known[$this->owner] === $this->of->id && in_array($known['sent_sha256'], [null, $envelope->sha256], true);
    }

    /**
     * The event whose place is taken, which has to hold still.
     *
     * @param  array<string, array<string, mixed>>  $events
     * @return array<string, mixed>|null
     *
     * @throws Refused
     */
    private function target(Declared $declared, Envelope $envelope, array $events): ?array
    {
        if (! $declared->canSupersede() || $envelope->supersedes === null) {
            return null;
        }
        $target = $events[$envelope->supersedes] ?? null;
        $holds = $target !== null && $target[$this->owner] === $this->of->id && ! $target['withdrawn'] && $target['later'] === null;

        return $holds ? $target : throw Refused::because('supersedes', $declared->gone);
    }

    /**
     * Events that the batch names, as itself or as what it takes the place of; wherever they are on record, for an id is
     * taken once.
     *
     * @param  list<mixed>  $items
     * @return array<string, array<string, mixed>> by id: the row, and with `later` the id of what took its place
     */
    private function onRecord(Declared $declared, array $items): array
    {
        $ids = [];
        foreach ($items as $item) {
            $ids[] = self::idOf($item);
            $ids[] = self::idOf($item, 'supersedes');
        }
        $ids = array_values(array_unique(array_filter($ids)));
        $events = [];
        foreach (array_chunk($ids, self::CHUNK) as $chunk) {
            $query = $declared->model::query()->whereIn('id', $chunk);
            if ($declared->canSupersede()) {
                $query->select('*')->addSelect(['later' => self::laterThan($declared->model)]);
            }
            foreach ($query->toBase()->get() as $row) {
                $events[$row->id] = (array) $row + ['later' => null, 'withdrawn' => false];
            }
        }

        return $events;
    }

    /**
     * @param  class-string<Model>  $model
     * @return Builder<Model>
     */
    private static function laterThan(string $model): Builder
    {
        $table = (new $model)->getTable();

        return $model::query()->from("{$table} AS later")->whereColumn('later.supersedes', "{$table}.id")->select('later.id')->limit(1);
    }

    /**
     * @param  class-string<Model>  $model
     * @param  list<array<string, mixed>>  $rows
     */
    private function store(string $model, array $rows): void
    {
        foreach (array_chunk($rows, self::CHUNK) as $chunk) {
            $model::query()->toBase()->insert($chunk);
        }
    }

    private static function idOf(mixed $item, string $field = 'id'): ?string
    {
        $id = is_array($item) ? $item[$field] ?? null : null;

        return is_string($id) && strlen($id) === 36 && Str::isUuid($id) ? strtolower($id) : null;
    }
}
