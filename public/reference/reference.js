// The API as its own document tells it. Only what is asked by hand is sent, to this house.
window.SwaggerUIBundle({
  url: '/api/openapi.json',
  dom_id: '#reference',
  deepLinking: true,
  docExpansion: 'none',
  filter: true,
  defaultModelsExpandDepth: -1,
  validatorUrl: null,
  // Its colours are too near each other to be read.
  syntaxHighlight: false,
});
