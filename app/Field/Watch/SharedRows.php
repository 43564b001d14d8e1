<?php

declare(strict_types=1);

namespace App\Field\Watch;

use App\Models\Planter;
use App\Record\Change;
use App\Record\ChangedMeanwhile;
use App\Record\Fields;
use App\Record\Refused;
use Illuminate\Validation\ValidationException;
use Ustrel\Core\Field\Watch\GroupKind;
use Ustrel\Core\Field\Watch\InvalidGroup;
use Ustrel\Core\Field\Watch\RowGroup;

/** What rows of a planter share: motors, tanks, manifolds, fans, sections. */
final readonly class SharedRows
{
    private const MOST = 60;

    private const LONGEST_NAME = 40;

    public function __construct(private Change $change)
    {
    }

    /** @return list<RowGroup> what it says now; rows that it has lost meanwhile are left out */
    public static function of(Planter $planter): array
    {
        $groups = [];
        foreach ($planter->shared as ['kind' => $kind, 'name' => $name, 'rows' => $rows]) {
            $there = array_values(array_filter($rows, static fn (int $row): bool => $row <= $planter->row_count));
            if (count($there) >= 2) {
                $groups[] = RowGroup::of(GroupKind::from($kind), $name, $there, $planter->row_count);
            }
        }

        return $groups;
    }

    /** @return list<RowGroup> what is proposed while nothing is said: the sections of the toolbar */
    public static function proposed(Planter $planter): array
    {
        $groups = [];
        $from = 1;
        foreach ($planter->sections as $number => $rows) {
            if ($rows >= 2 && $rows < $planter->row_count) {
                $groups[] = RowGroup::of(GroupKind::Section, __('watch.section', ['number' => $number + 1]), range($from, $from + $rows - 1), $planter->row_count);
            }
            $from += $rows;
        }

        return $groups;
    }

    /**
     * @param  list<mixed>  $groups
     * @param  list<mixed>  $before  as they were when somebody began to change them
     *
     * @throws ValidationException
     * @throws ChangedMeanwhile where somebody else changed them meanwhile
     */
    public function save(Planter $planter, array $groups, array $before): Planter
    {
        return $this->change->of($planter, static function (Planter $held) use ($groups, $before): Planter {
            try {
                [$new, $seen] = [self::read($held, $groups), self::read($held, $before)];
            } catch (Refused $refused) {
                throw ValidationException::withMessages(['groups' => $refused->getMessage()]);
            }
            if ($seen !== self::list(self::of($held)) && $new !== self::list(self::of($held))) {
                throw new ChangedMeanwhile(['groups']);
            }
            $held->shared = $new;
            $held->save();

            return $held;
        });
    }

    /**
     * @param  list<RowGroup>  $groups
     * @return list<array{kind: string, name: string, rows: list<int>}>
     */
    public static function list(array $groups): array
    {
        return array_map(static fn (RowGroup $of): array => ['kind' => $of->kind->value, 'name' => $of->name, 'rows' => $of->rows], $groups);
    }

    /**
     * @param  list<mixed>  $told
     * @return list<array{kind: string, name: string, rows: list<int>}>
     *
     * @throws Refused
     */
    private static function read(Planter $planter, array $told): array
    {
        if (count($told) > self::MOST) {
            throw Refused::because('groups', 'watch.groups', ['most' => self::MOST]);
        }
        $groups = $names = [];
        foreach ($told as $one) {
            $fields = Fields::of($one, 'watch.group');
            $kind = $fields->oneOf('kind', GroupKind::class, 'watch.kind') ?? throw Refused::because('groups', 'watch.kind');
            $name = $fields->text('name', self::LONGEST_NAME, 'watch.name');
            $rows = $fields->list('rows', 'watch.group');
            if ($name === '' || isset($names["{$kind->value} {$name}"])) {
                throw Refused::because('groups', $name === '' ? 'watch.name' : 'watch.name_twice', ['name' => $name]);
            }
            $names["{$kind->value} {$name}"] = true;
            foreach ($rows as $row) {
                is_int($row) || throw Refused::because('groups', 'watch.group');
            }
            try {
                $groups[] = RowGroup::of($kind, $name, $rows, $planter->row_count);
            } catch (InvalidGroup $invalid) {
                throw Refused::because('groups', "watch.group_{$invalid->fault}", ['name' => $name, 'row' => $invalid->row, 'rows' => $planter->row_count]);
            }
        }

        return self::list($groups);
    }
}
