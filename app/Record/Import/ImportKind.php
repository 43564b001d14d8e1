<?php

declare(strict_types=1);

namespace App\Record\Import;

/** What a file brings. */
enum ImportKind: string
{
    case Acres = 'acres';
    case Readings = 'readings';
    case Changes = 'changes';

    /** @return array<string, bool> the fields that it can have, and whether one cannot do without */
    public function fields(): array
    {
        return match ($this) {
            self::Acres => ['date' => true, 'field' => true, 'acres' => true, 'pass' => false, 'crop' => false, 'speed' => false, 'soil' => false, 'residue' => false, 'tillage' => false, 'downforce' => false, 'severity' => false, 'shut_off' => false, 'lot' => false, 'population' => false, 'products' => false, 'left_out' => false, 'map_acres' => false, 'around' => false, 'until' => false, 'note' => false],
            self::Readings => ['date' => true, 'row' => true, 'check' => true, 'side' => false, 'reading' => true],
            self::Changes => ['date' => true, 'row' => true, 'slot' => true, 'side' => false, 'part' => false, 'size' => false, 'reason' => false, 'removed' => false, 'cost' => false, 'note' => false],
        };
    }

    /** @return list<string> what people call a field besides its own name, in small letters */
    public static function otherNames(string $field): array
    {
        return match ($field) {
            'date' => ['day', 'planted', 'planted on', 'fitted', 'fitted on', 'when'],
            'field' => ['field name', 'name', 'block', 'paddock'],
            'acres' => ['area', 'planted acres', 'ac', 'hectares', 'ha'],
            'crop' => ['seed', 'variety'],
            'speed' => ['mph', 'km/h', 'speed mph'],
            'row' => ['row unit', 'unit', 'row number', 'row no'],
            'check' => ['measure', 'what', 'station'],
            'reading' => ['value', 'measured', 'figure', 'result'],
            'slot' => ['position', 'part of row', 'place'],
            'part' => ['part type', 'part name', 'part number', 'own number', 'number'],
            'size' => ['diameter', 'new size', 'size when fitted'],
            'reason' => ['why', 'reason of change'],
            'removed' => ['removed on', 'taken out', 'out'],
            'cost' => ['price'],
            'note' => ['notes', 'remark', 'remarks'],
            'shut_off' => ['rows off', 'shut off', 'rows shut off', 'off'],
            'lot' => ['seed', 'seed lot', 'variety'],
            'population' => ['seeds per acre', 'seeds/ac', 'rate'],
            'products' => ['product', 'fertilizer'],
            'map_acres' => ['map acres', 'acres by map', 'mapped'],
            'around' => ['work-around', 'workaround'],
            'until' => ['till'],
            'severity' => ['ground'],
            default => [],
        };
    }
}
