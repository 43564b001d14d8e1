<?php

declare(strict_types=1);

namespace Tests;

use App\Record\Declared;
use App\Record\Kind;
use Illuminate\Support\Facades\File;
use ReflectionClass;

/** The kinds of events that the code knows: nothing that is new is forgotten by what holds for all of them. */
final class EventKinds
{
    /** @return array<string, Kind> without what they are made for, by the short name of the class */
    public static function all(): array
    {
        $kinds = [];
        foreach (File::allFiles(app_path()) as $file) {
            $class = 'App\\'.strtr($file->getRelativePathname(), ['/' => '\\', '.php' => '']);
            if (class_exists($class) && is_subclass_of($class, Kind::class)) {
                $kind = new ReflectionClass($class);
                $kinds[$kind->getShortName()] = $kind->newInstanceWithoutConstructor();
            }
        }
        ksort($kinds);

        return $kinds;
    }

    /** @return list<string> */
    public static function tables(): array
    {
        return array_values(array_map(static function (Kind $kind): string {
            $model = Declared::by($kind)->model;

            return (new $model)->getTable();
        }, self::all()));
    }
}
