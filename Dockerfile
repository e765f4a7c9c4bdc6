# Builds from the packages of package-lock.json alone and serves the app; it keeps nothing of anybody's.
FROM node:20-slim AS build
WORKDIR /app
COPY . .
RUN npm run setup && npm run build && npm prune --omit=dev

FROM node:20-slim
ENV NODE_ENV=production HOST=0.0.0.0 PORT=4630
WORKDIR /app
COPY --from=build --chown=node:node /app/package.json ./
COPY --from=build --chown=node:node /app/next.config.ts ./
COPY --from=build --chown=node:node /app/node_modules ./node_modules
COPY --from=build --chown=node:node /app/scripts ./scripts
COPY --from=build --chown=node:node /app/public ./public
COPY --from=build --chown=node:node /app/dist ./dist
COPY --from=build --chown=node:node /app/.next ./.next
USER node
EXPOSE 4630
HEALTHCHECK --interval=30s --timeout=5s --start-period=20s CMD \
  node -e "fetch('http://127.0.0.1:'+process.env.PORT+'/api/health').then(r=>process.exit(r.ok?0:1),()=>process.exit(1))"
CMD ["node", "scripts/start.mjs"]
