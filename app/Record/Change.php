<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Planter;
use App\Models\Workshop;
use Closure;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;

/**
 * One change at a time. Whoever changes anything that hangs on a planter holds the planter first, so that two of them take
 * turns and none waits for what the other holds. What was written and what hangs on it are kept together, or neither is.
 *
 * The order in which anything is held: the workshop, then its planters by id, then whatever else.
 */
final readonly class Change
{
    /** A change that lost against another, or found an id taken meanwhile, is tried again so often. */
    private const TRIES = 4;

    public function __construct(private Projections $projections)
    {
    }

    /**
     * @param  Closure(Planter, Affected): mixed  $write  may run more than once
     * @param  (Closure(mixed): mixed)|null  $then  what is said once all that hangs on it is drawn up; by default what writing said
     */
    public function of(Planter $planter, Closure $write, ?Closure $then = null): mixed
    {
        return $this->tried(fn (): mixed => $this->changed($planter, $write), $then, null);
    }

    /**
     * What a change would say. Nobody waits for it: the planter is not held, what hangs on it is not drawn up, and all of it
     * is taken back.
     *
     * @param  Closure(Planter, Affected): mixed  $write
     */
    public function tryOut(Planter $planter, Closure $write): mixed
    {
        return $this->tried(static fn (): mixed => $write(Planter::query()->with(['specSheet', 'workshop'])->findOrFail($planter->id), new Affected), null, static fn (): bool => false);
    }

    /**
     * A change of what several planters of a workshop share.
     *
     * @param  Closure(Workshop, Closure(Planter, Closure(Planter, Affected): mixed): mixed): mixed  $write  handed the workshop, and what changes one of its planters; planters are to be taken by id
     * @param  (Closure(mixed): mixed)|null  $then
     * @param  (Closure(mixed): bool)|null  $keep  false: all of it is taken back, and only said
     */
    public function ofWorkshop(int $workshopId, Closure $write, ?Closure $then = null, ?Closure $keep = null): mixed
    {
        return $this->tried(
            fn (): mixed => $write(Workshop::query()->lock('for no key update')->findOrFail($workshopId), $this->changed(...)),
            $then,
            $keep,
        );
    }

    /**
     * A change of what all planters of a workshop share.
     *
     * @param  Closure(Workshop): (Closure(Planter, Affected): mixed|null)  $write  hands out what it means to each planter; null where it means nothing to any
     */
    public function ofYard(int $workshopId, Closure $write): Workshop
    {
        return $this->ofWorkshop($workshopId, static function (Workshop $workshop, Closure $change) use ($write): Workshop {
            $each = $write($workshop);
            if ($each !== null) {
                $workshop->planters()->orderBy('id')->get()->each(static fn (Planter $planter): mixed => $change($planter, $each));
            }

            return $workshop;
        });
    }

    private function changed(Planter $planter, Closure $write): mixed
    {
        $held = self::hold($planter->id);
        $affected = new Affected;
        $said = $write($held, $affected);
        $this->projections->project($held, $affected);

        return $said;
    }

    /** Holds the planter until the change is done, and counts the change. */
    private static function hold(int $id): Planter
    {
        return Planter::query()
            ->fromQuery('UPDATE planters SET revision = revision + 1 WHERE id = ? RETURNING *', [$id])
            ->load(['specSheet', 'workshop'])
            // It may have been removed while others held it.
            ->first() ?? throw (new ModelNotFoundException)->setModel(Planter::class, $id);
    }

    /**
     * @param  Closure(): mixed  $change
     * @param  (Closure(mixed): mixed)|null  $then
     * @param  (Closure(mixed): bool)|null  $keep
     */
    private function tried(Closure $change, ?Closure $then, ?Closure $keep): mixed
    {
        for ($try = 1; ; $try++) {
            try {
                return DB::transaction(static function () use ($change, $then, $keep): mixed {
                    $said = $change();
                    $said = $then === null ? $said : $then($said);

                    return $keep === null || $keep($said) ? $said : throw new TakenBack($said);
                }, self::TRIES);
            } catch (TakenBack $takenBack) {
                return $takenBack->said;
            } catch (UniqueConstraintViolationException $taken) {
                // Somebody else's event took the id between the look and the writing: the next look sees it.
                if ($try >= self::TRIES || preg_match('/_(pkey|supersedes_unique)"/', $taken->getMessage()) !== 1) {
                    throw $taken;
                }
            }
        }
    }
}
