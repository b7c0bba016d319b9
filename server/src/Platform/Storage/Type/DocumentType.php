<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Storage\Type;

use ChalkLadder\Server\Platform\Storage\Json;
use Doctrine\DBAL\Platforms\AbstractPlatform;
use Doctrine\DBAL\Types\Type;

/**
 * A value of the core, kept as JSON. Such values never change: a new one replaces the old one whole, which is also how
 * Doctrine notices.
 *
 * @template T of object
 */
abstract class DocumentType extends Type
{
    /**
     * @param array<array-key, mixed> $json as it was written
     *
     * @return T
     */
    abstract protected function read(array $json): object;

    /**
     * @param T $value
     *
     * @return array<array-key, mixed>
     */
    abstract protected function write(object $value): array;

    public function getSQLDeclaration(array $column, AbstractPlatform $platform): string
    {
        return 'JSONB';
    }

    public function convertToDatabaseValue(mixed $value, AbstractPlatform $platform): ?string
    {
        /** @var T|null $value Doctrine hands over what the entity holds */
        return $value === null ? null : Json::encode($this->write($value));
    }

    /** @return T|null */
    public function convertToPHPValue(mixed $value, AbstractPlatform $platform): ?object
    {
        return is_string($value) ? $this->read(Json::decode($value)) : null;
    }
}
