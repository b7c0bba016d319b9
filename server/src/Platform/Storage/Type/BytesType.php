<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Storage\Type;

use Doctrine\DBAL\Platforms\AbstractPlatform;
use Doctrine\DBAL\Types\Type;

/** `bytea` as a string of bytes; they travel as base64, since statements and values travel together as text. */
final class BytesType extends Type
{
    public function getSQLDeclaration(array $column, AbstractPlatform $platform): string
    {
        return 'BYTEA';
    }

    public function convertToDatabaseValue(mixed $value, AbstractPlatform $platform): string
    {
        return is_string($value) ? base64_encode($value) : '';
    }

    public function convertToDatabaseValueSQL(string $sqlExpr, AbstractPlatform $platform): string
    {
        return "decode($sqlExpr, 'base64')";
    }

    public function convertToPHPValueSQL(string $sqlExpr, AbstractPlatform $platform): string
    {
        return "encode($sqlExpr, 'base64')";
    }

    public function convertToPHPValue(mixed $value, AbstractPlatform $platform): string
    {
        return is_string($value) ? (string) base64_decode($value, true) : '';
    }
}
