<template>
  <section class="mx-auto max-w-[520px] p-10 text-center">
    <h1>Nothing is here</h1>
    <p class="sub mt-2 mb-5">The address does not belong to a screen.</p>
    <RouterLink to="/today" class="btn btn-main">Go to Today</RouterLink>
  </section>
</template>
