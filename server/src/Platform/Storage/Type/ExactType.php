<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Storage\Type;

use Brick\Math\BigRational;
use Doctrine\DBAL\Platforms\AbstractPlatform;
use Doctrine\DBAL\Types\Type;

/** An exact fraction, kept as it is written: "1/3". */
final class ExactType extends Type
{
    public function getSQLDeclaration(array $column, AbstractPlatform $platform): string
    {
        return 'TEXT';
    }

    public function convertToDatabaseValue(mixed $value, AbstractPlatform $platform): ?string
    {
        return $value instanceof BigRational ? (string) $value : null;
    }

    public function convertToPHPValue(mixed $value, AbstractPlatform $platform): ?BigRational
    {
        return is_string($value) ? BigRational::of($value) : null;
    }
}
