<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Storage\Type;

use Doctrine\DBAL\Platforms\AbstractPlatform;
use Doctrine\DBAL\Types\Type;

/** A PostgreSQL array of ids. */
final class UuidListType extends Type
{
    public function getSQLDeclaration(array $column, AbstractPlatform $platform): string
    {
        return 'UUID[]';
    }

    public function convertToDatabaseValue(mixed $value, AbstractPlatform $platform): string
    {
        return self::write(is_array($value) ? array_values(array_filter($value, is_string(...))) : []);
    }

    /** @return list<string> */
    public function convertToPHPValue(mixed $value, AbstractPlatform $platform): array
    {
        return is_string($value) && $value !== '{}' ? explode(',', trim($value, '{}')) : [];
    }

    /** @param list<string> $ids */
    public static function write(array $ids): string
    {
        return '{'.implode(',', $ids).'}';
    }
}
