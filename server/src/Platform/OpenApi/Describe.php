<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\OpenApi;

use ChalkLadder\Server\Platform\Http\MapDocument;
use ChalkLadder\Server\Platform\Http\Returns;
use ChalkLadder\Server\Platform\Storage\Json;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\PropertyInfo\PropertyTypeExtractorInterface;
use Symfony\Component\Routing\RouterInterface;
use Symfony\Component\TypeInfo\Type;
use Symfony\Component\TypeInfo\Type\BuiltinType;
use Symfony\Component\TypeInfo\Type\CollectionType;
use Symfony\Component\TypeInfo\Type\GenericType;
use Symfony\Component\TypeInfo\Type\NullableType;
use Symfony\Component\TypeInfo\Type\ObjectType;
use Symfony\Component\TypeInfo\TypeIdentifier;

/**
 * Describes the API in OpenAPI 3.1 from the code itself: routes, the inputs and views that controllers name in their
 * signatures, and the document schemas of docs/formats. The types are the contract, so it cannot drift.
 */
final class Describe
{
    /** @var array<string, mixed> */
    private array $schemas = [];

    public function __construct(
        private readonly RouterInterface $router,
        private readonly PropertyTypeExtractorInterface $types,
        private readonly string $projectDir,
    ) {
    }

    public function json(): string
    {
        $documents = Json::decode((string) file_get_contents($this->projectDir.'/docs/formats/schemas.json'));
        $this->schemas = [];
        $paths = [];
        foreach ($this->router->getRouteCollection() as $route) {
            $controller = $route->getDefault('_controller');
            if (!is_string($controller) || !str_starts_with($controller, 'ChalkLadder\\')) {
                continue;
            }
            [$class, $method] = explode('::', $controller) + [1 => '__invoke'];
            if (!class_exists($class)) {
                throw new \LogicException("$class of a route does not exist.");
            }
            $action = new \ReflectionMethod($class, $method);
            foreach ($route->getMethods() as $verb) {
                $paths[$route->getPath()][strtolower($verb)] = $this->operation($action, $route->getPath());
            }
        }
        ksort($paths);
        ksort($this->schemas);

        return json_encode([
            'openapi' => '3.1.0',
            'info' => ['title' => 'Chalk Ladder', 'version' => '1'],
            'paths' => $paths,
            'components' => ['schemas' => $this->schemas + $documents],
        ], JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE)."\n";
    }

    /** @return array<string, mixed> */
    private function operation(\ReflectionMethod $action, string $path): array
    {
        $operation = ['operationId' => lcfirst(str_replace(
            'Controller',
            '',
            $action->getDeclaringClass()->getShortName(),
        )).ucfirst($action->getName())];
        $parameters = [];
        preg_match_all('/\{(\w+)\}/', $path, $names);
        foreach ($names[1] as $name) {
            $parameters[] = ['name' => $name, 'in' => 'path', 'required' => true, 'schema' => ['type' => 'string']];
        }
        foreach ($action->getParameters() as $parameter) {
            $type = $parameter->getType();
            $named = $type instanceof \ReflectionNamedType ? $type->getName() : 'string';
            if ($parameter->getAttributes(MapQueryParameter::class) !== []) {
                $parameters[] = [
                    'name' => $parameter->getName(),
                    'in' => 'query',
                    'required' => false,
                    'schema' => ['type' => $named === 'bool' ? 'boolean' : 'string'],
                ];
            }
            if (($parameter->getAttributes(MapRequestPayload::class) !== [] || $parameter->getAttributes(MapDocument::class) !== [])
                && class_exists($named)) {
                $operation['requestBody'] = [
                    'required' => true,
                    'content' => ['application/json' => ['schema' => $this->reference($named)]],
                ];
            }
        }
        if ($parameters !== []) {
            $operation['parameters'] = $parameters;
        }
        $return = $action->getReturnType();
        $view = ($action->getAttributes(Returns::class)[0] ?? null)?->newInstance()->view
            ?? ($return instanceof \ReflectionNamedType ? $return->getName() : 'void');
        $operation['responses'] = match (true) {
            $view === 'file' => ['200' => ['description' => 'A file or stream.']],
            str_ends_with($view, 'View') && class_exists($view) => ['200' => [
                'description' => 'Done.',
                'content' => ['application/json' => ['schema' => $this->reference($view)]],
            ]],
            default => ['204' => ['description' => 'Done; nothing to say.']],
        };
        $operation['responses']['default'] = [
            'description' => 'A problem document (RFC 9457).',
            'content' => ['application/problem+json' => ['schema' => ['$ref' => '#/components/schemas/Problem']]],
        ];

        return $operation;
    }

    /**
     * @param class-string $class
     *
     * @return array<string, string>
     */
    private function reference(string $class): array
    {
        $reflection = new \ReflectionClass($class);
        // Two rooms may each have a view of the same name; the room's name then tells them apart.
        $room = explode('\\', $reflection->getNamespaceName())[2] ?? '';
        $name = $room.$reflection->getShortName();
        if (!isset($this->schemas[$name])) {
            $this->schemas[$name] = [];
            $properties = [];
            $required = [];
            foreach ($reflection->getProperties(\ReflectionProperty::IS_PUBLIC) as $property) {
                $shape = ($property->getAttributes(Shape::class)[0] ?? null)?->newInstance();
                $nullable = $property->getType()?->allowsNull() === true;
                $schema = $shape === null
                    ? $this->schema($this->types->getType($class, $property->getName()))
                    : ['$ref' => '#/components/schemas/'.$shape->schema];
                $properties[$property->getName()] = $shape !== null && $nullable ? ['anyOf' => [$schema, ['type' => 'null']]] : $schema;
                $required[] = $property->getName();
            }
            if (str_ends_with($name, 'Input')) {
                $required = [];
            }
            $this->schemas[$name] = [
                'type' => 'object',
                'properties' => (object) $properties,
            ] + ($required === [] ? [] : ['required' => $required]);
        }

        return ['$ref' => '#/components/schemas/'.$name];
    }

    /** @return array<string, mixed> */
    private function schema(?Type $type): array
    {
        if ($type instanceof NullableType) {
            return ['anyOf' => [$this->schema($type->getWrappedType()), ['type' => 'null']]];
        }
        if ($type instanceof CollectionType) {
            $value = $this->schema($type->getCollectionValueType());

            return $type->isList() ? ['type' => 'array', 'items' => $value] : ['type' => 'object', 'additionalProperties' => $value];
        }
        if ($type instanceof GenericType) {
            return $this->schema($type->getWrappedType());
        }
        if ($type instanceof ObjectType) {
            $class = $type->getClassName();

            return class_exists($class) ? $this->reference($class) : throw new \LogicException("$class is unknown.");
        }
        if ($type instanceof BuiltinType) {
            return match ($type->getTypeIdentifier()) {
                TypeIdentifier::STRING => ['type' => 'string'],
                TypeIdentifier::INT => ['type' => 'integer'],
                TypeIdentifier::FLOAT => ['type' => 'number'],
                TypeIdentifier::BOOL => ['type' => 'boolean'],
                default => [],
            };
        }

        return [];
    }
}
