<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\PlainValue;
use App\Models\Workshop;
use Closure;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Validation\ValidationException;
use LogicException;

/**
 * Keeps a thing of the workshop whole, over the state that was seen: what somebody else has changed meanwhile is not overwritten,
 * and what is sent again because the answer was lost is known. That state is its `revision`, or the `version()` of what its form writes.
 */
final readonly class Document
{
    public function __construct(private Change $change)
    {
    }

    /**
     * @template T of Model
     *
     * @param  T  $of  a new one with its workshop, or the one that was changed
     * @param  array<string, mixed>  $columns
     * @param  int|string|null  $seen  the state that was changed; of a new one nothing is asked
     * @param  string  $name  the field that no two of a workshop share
     * @param  string  $taken  wording where it is taken, with :name
     * @param  (Closure(T, Workshop): mixed)|null  $prepare  before it is saved, filled
     * @return T
     *
     * @throws ValidationException where the name is taken
     * @throws ChangedMeanwhile
     */
    public function keep(Model $of, array $columns, int|string|null $seen, string $name, string $taken, ?Closure $prepare = null): Model
    {
        try {
            return $this->change->ofWorkshop($of->getAttribute('workshop_id'), static function (Workshop $workshop) use ($of, $columns, $seen, $prepare): Model {
                $kept = $of->exists ? $of->newQuery()->whereKey($of->getKey())->firstOrFail() : clone $of;
                if (! $of->exists || ! self::isKnown($kept, $columns, $seen)) {
                    $kept->fill($columns + self::nextRevision($kept));
                    $prepare === null || $prepare($kept, $workshop);
                    $kept->save();
                }

                return $kept->refresh();
            });
        } catch (UniqueConstraintViolationException) {
            throw ValidationException::withMessages([$name => __($taken, ['name' => $columns[$name]])]);
        }
    }

    /**
     * Refuses what would write a part of a document over what somebody else has set there meanwhile. What stands already is no conflict.
     *
     * @param  Model  $kept  as it is while it is held
     * @param  array<string, mixed>  $columns  that are to be set
     * @param  array<string, string>  $seen  their versions when they were looked at; of those that are not among them nothing is asked
     *
     * @throws ChangedMeanwhile
     */
    public static function assertUntouched(Model $kept, array $columns, array $seen): void
    {
        $would = (clone $kept)->fill($columns);
        [$stands, $set] = [self::versions($kept), self::versions($would)];
        $changed = array_filter(array_keys(array_intersect_key($columns, $seen)), static fn (string $column): bool => ! in_array($stands[$column], [$seen[$column], $set[$column]], true));
        $changed === [] ?: throw new ChangedMeanwhile(array_values($changed));
    }

    /**
     * Whether what is to be kept stands already: the answer to it was lost.
     *
     * @param  Model  $kept  as it is while it is held
     * @param  array<string, mixed>  $columns  that are to be kept
     * @param  int|string|null  $seen  null of who does not ask
     *
     * @throws ChangedMeanwhile where another state stands by now
     */
    public static function isKnown(Model $kept, array $columns, int|string|null $seen): bool
    {
        if ($seen === null || self::state($kept, $seen) === $seen) {
            return false;
        }
        $stands = self::state($kept, $seen);
        $would = (clone $kept)->fill($columns);
        $differ = array_values(array_filter(array_keys($columns), static fn (string $column): bool => PlainValue::of($would->getAttribute($column)) !== PlainValue::of($kept->getAttribute($column))));
        $isSame = is_int($seen) ? $kept->exists && $seen + 1 === $stands && $differ === [] : self::state($would, $seen) === $stands;

        return $isSame ?: throw new ChangedMeanwhile($differ);
    }

    /** @return array{revision?: int} */
    private static function nextRevision(Model $kept): array
    {
        return method_exists($kept, 'version') ? [] : ['revision' => $kept->getAttribute('revision') + 1];
    }

    /** @return array<string, string> */
    private static function versions(Model $of): array
    {
        return method_exists($of, 'versions') ? $of->versions() : throw new LogicException($of::class.' tells no versions.');
    }

    private static function state(Model $of, int|string $seen): int|string
    {
        return is_string($seen) && method_exists($of, 'version') ? $of->version() : $of->getAttribute('revision');
    }
}
